import { pertMean } from '@/core/money/pert';
import { chargedShare } from '@/core/money/share';
import { saidBySeller } from '../buy/questions';
import { roadLines } from '../money/questions';
import { comebackMinutes, saleLines } from '../sell/saleLines';
import type { Bicycle } from '../record';
import { minutesByJob, workedMinutes } from '../work/hours';
import type { BooksTold } from './booksTold';
import { kindOfPlace } from '@/core/money/workKinds';

/** Minutes of a job that say something: the clock's seconds are none. */
const LEAST_MINUTES = 3;
/** Words of a seller that count stand at the beginning; a floor of hundreds keeps no more. */
const MOST_ADVERT = 600;

/** What a bicycle tells the books; null until it is sold or billed. Its sums are those of its own result, to the cent. */
export function toldToBooks(bicycle: Bicycle): BooksTold | null {
  const { sale, purchase, appraisal, jobs } = bicycle;
  if (sale.price === null) return null;
  const sum = (lines: readonly Parameters<typeof chargedShare>[0][]) =>
    lines.reduce((all, line) => all + chargedShare(line), 0);
  const bought = purchase?.paid ?? 0;
  const parts = sum(bicycle.lines);
  const road = sum(roadLines(bicycle));
  const besides = sale.fee + sum(saleLines(bicycle));
  const { jobs: minutes } = minutesByJob(bicycle);
  const standing = appraisal.lines.filter(({ kind }) => kind === 'standing');
  return {
    price: sale.price,
    on: sale.on,
    bought,
    parts,
    road,
    besides,
    earned: sale.price - bought - parts - road - besides,
    minutes: workedMinutes(bicycle) + comebackMinutes(bicycle),
    predicted: appraisal.resale.likely > 0 && bicycle.purpose !== 'customer' ? appraisal.resale : null,
    jobs: jobs.flatMap(({ id, place, done, decision, minutes: estimateMin }) => {
      const actualMin = minutes[id] ?? 0;
      return done && decision === 'keep' && estimateMin.likely > 0 && actualMin >= LEAST_MINUTES
        ? [{ kind: kindOfPlace(place), estimateMin, actualMin }]
        : [];
    }),
    advert: bicycle.lead.advert.slice(0, MOST_ADVERT),
    said: saidBySeller(bicycle),
    ordinary: {
      parts: standing.reduce((all, line) => all + pertMean(line.parts), 0),
      minutes: standing.reduce((all, line) => all + pertMean(line.minutes), 0),
    },
    comebacks: bicycle.comebacks.map(({ cause, minutes: spent, parts: renewed, refund }) => ({
      cause,
      minutes: spent,
      cost: renewed + refund,
    })),
  };
}
