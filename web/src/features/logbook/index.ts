export { LogbookPage } from './LogbookPage'
