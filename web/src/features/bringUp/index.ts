export { BringUpPage } from './BringUpPage'
