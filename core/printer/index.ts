export { brokenOff, cautionsOf, freshPrinter, lettings, minutesFor, runJob, smearOf, type Letting, type Printer, type Ran } from './printer'
