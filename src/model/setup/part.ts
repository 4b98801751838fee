import * as z from 'zod/mini';
import { at, id, person, type Held } from '../fields';
import { fields } from '../leaf';

/** A step of the setting-up, done by whom and when. */
export const setStep = z.strictObject({ at, by: person });

export const part = {
  /** Steps of the setting-up that are done, by place and step: `brake.front/centre`. */
  setSteps: fields(z.record(id, setStep), { words: 'the setting-up' }),
  /** Figures that are kept for the next time, by place and name: `fork/oil-left`. */
  setFigures: fields(z.record(id, z.number().check(z.gte(0), z.lte(10_000))), { words: 'a figure of the setting-up' }),
};

export const fresh = (): Held<typeof part> => ({ setSteps: {}, setFigures: {} });
