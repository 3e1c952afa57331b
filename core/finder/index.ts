export { findMethods, type Row, type Cell, type Verdict } from './finder'
