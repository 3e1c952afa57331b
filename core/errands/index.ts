export { errandsFor, mergeErrands, type Errand, type ErrandInput } from './errands'
