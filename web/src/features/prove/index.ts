export { ProvePage } from './ProvePage'
