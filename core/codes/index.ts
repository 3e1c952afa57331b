export type {
  Coded,
  DecisionValues,
  ErrandValues,
  FindingCode,
  FindingValues,
  OfPictures,
  PictureValues,
  RemedyCode,
  RemedyValues,
  SuitValues,
} from './codes'
