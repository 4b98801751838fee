import * as z from 'zod/mini';
import { answer, defineCalculator } from '../calculator';
import { bearingsContact } from '../bearings/contact';
import { levels } from './data/levels';
import type { PracticeLevel } from './hub';

/**
 * The levels of the practice room, each with what a turn of its cone does inside, reckoned by the contact model. Errors:
 * none. Source: invented hubs of usual sizes. Example: the pitted hub has a local tightness of five degrees round its turn.
 */
export const practiceLevels = defineCalculator({
  id: 'practice.levels',
  title: 'The levels of the practice room',
  example: {},
  input: z.strictObject({}),
  run(): { levels: PracticeLevel[] } {
    return {
      levels: levels.map(({ source: _source, confidence: _confidence, ...level }) => {
        const inside = answer(bearingsContact, {
          ballDiameterMm: level.ballDiameterMm,
          balls: level.balls,
          circleMm: level.circleMm,
          pitchMm: level.pitchMm,
          cup: level.cup,
          acrossN: 20,
          axle: level.what === 'hub' ? { areaMm2: 40, spanMm: level.rowsApartMm } : null,
        });
        if (!inside.ok) throw new Error(inside.errors.map((error) => `${error.path} ${error.message}`).join('; '));
        return { ...level, curve: inside.output.curve };
      }),
    };
  },
});
