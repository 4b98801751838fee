/** What the helpers of days say on a machine of this time zone, at a moment that is given; run by a test in two zones. */
import { demoWorkshop } from '../src/model/demo/workshop';
import { localDay } from '../src/model/localDay';
import { dayOf } from '../src/ui/format';

const at = new Date(process.argv[2]!);
const { bicycles } = demoWorkshop(at);
console.log(
  JSON.stringify({
    today: localDay(at),
    bare: dayOf('2026-06-02'),
    due: bicycles.flatMap(({ deliveries }) => deliveries.flatMap(({ dueOn }) => dueOn ?? [])),
  }),
);
