export { commands } from './commands';
export { fresh, part } from './part';
