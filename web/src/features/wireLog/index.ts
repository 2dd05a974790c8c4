export { WireLogPage } from './WireLogPage'
