export { Functions } from './Functions'
export { PaintPage } from './PaintPage'
export { SayIt } from './SayIt'
