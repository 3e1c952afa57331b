export { cheapestPacks, buyingInput, type BuyingInput, type Purchase } from './buying'
