export { LineUpPage } from './LineUpPage'
