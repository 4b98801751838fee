export { commands } from './commands';
export { fresh } from './fresh';
export { part } from './part';
