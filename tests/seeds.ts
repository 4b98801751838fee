/** Records for the browser tests, as JSON on stdout: `tsx tests/seeds.ts whole <moment>`, `tsx tests/seeds.ts rusty <moment>` or `tsx tests/seeds.ts demo`. */
import { demoWorkshop } from '@/model/demo/workshop';
import { rustyBicycle } from './rustyBicycle';
import { wholeBicycle } from './wholeBicycle';

const [what, at] = process.argv.slice(2);
const made = {
  whole: () => [wholeBicycle({}, at!)],
  rusty: () => [rustyBicycle(at!)],
  demo: () => demoWorkshop(new Date()).bicycles,
};
process.stdout.write(JSON.stringify(made[what as keyof typeof made]()));
