import { appraisalInput } from '@/model/buy/questions';
import { defineOverlay } from '../workshop/declared';

/** What the door check says, where nothing was found otherwise. */
export const doorSigns = defineOverlay<'buy.appraise'>({
  asks: { id: 'buy.appraise', of: (bicycle, { settings, taught }) => appraisalInput(bicycle, settings, taught) },
  signs: (_bicycle, { answer }, laid) =>
    (answer?.door ?? [])
      .filter((line) => line.answer !== null && !laid.has(line.place))
      .map((line) => ({ place: line.place, sign: line.answer === 'bad' ? 'replace' : 'fine' })),
});
