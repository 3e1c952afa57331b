export { errandsFor, type Errand, type ErrandInput } from './errands'
