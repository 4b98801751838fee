import { planCalendar } from '@/model/exchange/planCalendar';
import { saveFile } from '@/ui/saveFile';
import type { WholePlan } from './usePlan';

/** The plan and its alarms as a calendar file. */
export async function savePlan(
  { plan, tasks, zeroMs }: WholePlan,
  names: Readonly<Record<string, string>>,
): Promise<void> {
  if (!plan) return;
  saveFile(
    new Blob([await planCalendar(plan, tasks, names, zeroMs, Date.now())], { type: 'text/calendar' }),
    'plan.ics',
  );
}
