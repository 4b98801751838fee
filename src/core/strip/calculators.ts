import { stripLadder } from './ladder';
import { stripStuck } from './stuck';
import { stripTrays } from './trays';
import { stripTurn } from './turn';

/** The calculators of this subject. */
export const calculators = [stripTurn, stripTrays, stripLadder, stripStuck] as const;
