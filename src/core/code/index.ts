export { codePlace } from './code-place';
