/** Records for the browser tests, as JSON on stdout: `tsx tests/seeds.ts whole <moment>` or `tsx tests/seeds.ts demo`. */
import { demoWorkshop } from '@/model/demo/workshop';
import { wholeBicycle } from './wholeBicycle';

const [what, at] = process.argv.slice(2);
process.stdout.write(JSON.stringify(what === 'whole' ? [wholeBicycle({}, at!)] : demoWorkshop(new Date()).bicycles));
