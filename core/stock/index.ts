export { cutStock, stockInput, type StockInput, type CutPlan } from './stock'
