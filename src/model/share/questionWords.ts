import { settingName, settingValue } from '../settings/settingWords';
import type { ShareQuestion } from './question';
import { SETTINGS } from './settings';

export interface Asked {
  words: string;
  choices: { label: string; value: unknown }[];
}
interface Names {
  money(minor: number): string;
  labelOf(item: string): string;
}

/** A row of a list of the settings in a few words. Example: "Ada"; "day 2, 18:30 to 20:00". */
function rowWords(row: Readonly<Record<string, unknown>>): string {
  const said = (field: string) =>
    typeof row[field] === 'string' || typeof row[field] === 'number' ? `${row[field]}` : '';
  const name = said('name') || said('label');
  return name || `${said('on') || `day ${said('day')}`}, ${said('from')} to ${said('to')}`;
}

function ofSettings(leaf: string, value: unknown, names: Names): string {
  const placed = value as { row?: Record<string, unknown> } | null;
  if (placed?.row) return rowWords(placed.row);
  return settingValue(leaf, value ?? undefined, names.money);
}

function ofStock(leaf: string, value: unknown, { money }: Names): string {
  const said = value as {
    quantity?: number;
    cost?: number | null;
    label?: string;
    size?: string;
    state?: string;
  } | null;
  if (!said) return 'taken out';
  if (leaf.startsWith('base/')) return `${said.quantity}${said.cost == null ? '' : `, cost ${money(said.cost)}`}`;
  return [said.label, said.size, said.state].filter(Boolean).join(', ');
}

/** A question about what differs, and what may be chosen. Two choices that read alike are told apart by their number. */
export function questionWords(question: ShareQuestion, names: Names): Asked {
  if (question.is === 'short')
    return {
      words: `${question.label}: ${question.by === 1 ? 'one more was' : `${question.by} more were`} taken out than lay in the drawer. Count what is there, and enter it in the drawer.`,
      choices: [{ label: 'None is left', value: 0 }],
    };
  const { record, leaf, kept, others } = question;
  const isSetting = record === SETTINGS;
  const about = isSetting
    ? settingName(leaf)
    : `${names.labelOf(leaf.split('/').slice(1).join('/'))}${leaf.startsWith('base/') ? ', how many there were' : ''}`;
  const read = (value: unknown) => (isSetting ? ofSettings(leaf, value, names) : ofStock(leaf, value, names));
  const labels = [kept, ...others].map(read);
  return {
    words: `${about[0]!.toUpperCase()}${about.slice(1)}: entered differently on two devices. Which is right?`,
    choices: [kept, ...others].map((value, i) => ({
      value,
      label: labels.indexOf(labels[i]!) === i ? labels[i]! : `${labels[i]} (${i + 1})`,
    })),
  };
}
