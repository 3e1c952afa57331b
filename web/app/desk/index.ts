export { useDesk } from './desk'
export { unkeptCount } from './queue'
