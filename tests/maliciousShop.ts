import { uniformStream } from '@/core/money/streams';
import type { Command } from '@/model/commands';
import { newBicycle } from '@/model/fresh';
import { leavesOf, staysHere } from '@/model/leaves';
import type { WorkshopSettings } from '@/model/settings/settings';
import { harmedFolder, pads, shareDevice, type ShareDevice } from './shareDevice';

const AT = '2026-11-25T10:00:00.000Z';
const at = (minute: number) => new Date(Date.parse(AT) + minute * 60_000).toISOString();
const padsAt = (quantity: number, minute: number) => pads({ quantity, cost: quantity * 400, at: at(minute) });

interface Member {
  device: ShareDevice;
  folder: ReturnType<typeof harmedFolder>;
}

/** The same values as the same text, in whatever order their fields were put down. */
const canonical = (value: unknown): string =>
  JSON.stringify(value, (_key, each: unknown) =>
    typeof each === 'object' && each !== null && !Array.isArray(each)
      ? Object.fromEntries(Object.entries(each).toSorted(([a], [b]) => (a < b ? -1 : 1)))
      : each,
  );

/** Everything that a device shows, in one order, without what is its own: the export of its workshop. */
export function exportOf({ device }: Member): string {
  const bicycles = ['b0', 'b1'].map((id) => {
    const bicycle = device.shown(id);
    if (!bicycle) return null;
    const leaves = [...leavesOf(bicycle)].filter(([leaf]) => !staysHere(leaf));
    const stamps = Object.entries(bicycle.stamps).filter(([leaf]) => !staysHere(leaf));
    return [
      leaves.toSorted(([a], [b]) => (a < b ? -1 : 1)),
      stamps.toSorted(([a], [b]) => (a < b ? -1 : 1)),
      bicycle.conflicts,
    ];
  });
  const { settings, stock } = device.workshop.store.getState();
  return canonical([bicycles, settings, Object.values(stock)]);
}

/**
 * A shop of whole devices, records, drawer and house rules, each with a folder of its own that an engine keeps alike and means ill: late, in any order, in halves, twice, under other
 * names; pages die; the folder is emptied.
 */
export class MaliciousShop {
  readonly members: Member[] = [];
  /** Every note that was written down, by its bicycle. */
  readonly written: [string, string][] = [];
  /** Pairs of pads that were put in less those taken out. */
  pads = 0;
  private readonly next: () => number;
  private minute = 1;

  constructor(seed: number) {
    this.next = uniformStream(seed, 'malicious shop');
  }

  private pick(below: number): number {
    return Math.floor(this.next() * below);
  }

  async begin(count = 5): Promise<void> {
    for (let i = 0; i < count; i++) {
      const folder = harmedFolder();
      this.members.push({ folder, device: await shareDevice(`d${i}`, folder) });
    }
    const { device } = this.members[0]!;
    for (const id of ['b0', 'b1']) await device.workshop.addBicycle(newBicycle(id, AT, id));
    await device.workshop.putStock([padsAt(50, 0)]);
    this.pads = 50;
    await this.settle();
  }

  private async enter({ device }: Member): Promise<void> {
    const minute = this.minute++;
    const bicycle = `b${this.pick(2)}`;
    const what = this.next();
    const send = (command: Command) => device.do(command, bicycle);
    if (what < 0.35) {
      const id = `n${minute}`;
      await send({
        type: 'addNote',
        note: { id, place: null, text: id, sound: null, at: at(minute), withdrawn: false },
      });
      this.written.push([bicycle, id]);
    } else if (what < 0.5) await send({ type: 'renameBicycle', name: `name ${this.pick(4)}` });
    else if (what < 0.62)
      await send({ type: 'markStep', place: 'hub.front', step: `s${this.pick(3)}`, done: true, takes: [`p${minute}`] });
    else if (what < 0.72) await send({ type: 'setAppraisal', changes: { asking: this.pick(5) * 1000 } });
    else if (what < 0.82) {
      const was = device.workshop.store.getState().stock.pads;
      if (!was || was.quantity === 0) return;
      await device.workshop.putStock([{ ...padsAt(was.quantity - 1, minute), cost: was.cost! - 400 }]);
      this.pads -= 1;
    } else
      await device.workshop.changeSettings((kept: WorkshopSettings) =>
        this.next() < 0.5
          ? { people: [...kept.people, { id: `p${minute}`, name: `P${minute}` }] }
          : { labourPerHour: 100 * this.pick(5) },
      );
  }

  private async carry(): Promise<void> {
    const [from, to] = [this.members[this.pick(this.members.length)]!, this.members[this.pick(this.members.length)]!];
    const files = [...from.folder.files];
    const found = files[this.pick(files.length)];
    if (!found || from === to) return Promise.resolve();
    const [name, bytes] = found;
    const how = this.next();
    if (how < 0.15 && !to.folder.files.has(name)) to.folder.files.set(name, bytes.slice(0, this.pick(bytes.length)));
    else if (how < 0.25) to.folder.files.set(name.replace('.json', `.conflict ${this.pick(9)}.json`), bytes);
    else to.folder.files.set(name, bytes);
    return Promise.resolve();
  }

  async step(): Promise<void> {
    const member = this.members[this.pick(this.members.length)]!;
    const what = this.next();
    if (what < 0.3) await this.enter(member);
    else if (what < 0.55) await this.turn(member);
    else if (what < 0.9) for (let k = 0; k < 6; k++) await this.carry();
    else if (what < 0.95) await member.device.reopen(member.folder);
    else if (what < 0.97) member.folder.files.clear();
    else member.folder.away = !member.folder.away;
  }

  private async turn({ device }: Member): Promise<void> {
    await device.turn();
    await device.workshop.reload();
  }

  /** The engine grows tired: all is online, everything arrives whole, everybody reads. A new day: pages are opened anew. */
  async settle(): Promise<void> {
    for (const { device, folder } of this.members) await device.reopen(folder);
    for (let round = 0; round < 3; round++) {
      for (const member of this.members) {
        member.folder.away = false;
        await this.turn(member);
      }
      const all = new Map<string, Uint8Array<ArrayBuffer>>();
      for (const { folder } of this.members)
        for (const [name, bytes] of folder.files) if ((all.get(name)?.length ?? 0) < bytes.length) all.set(name, bytes);
      for (const { folder } of this.members) for (const [name, bytes] of all) folder.files.set(name, bytes);
    }
    for (const member of this.members) await this.turn(member);
  }

  /** Whoever is there answers everything that is asked. */
  async answerAll({ device }: Member): Promise<void> {
    for (const id of ['b0', 'b1'])
      for (const { id: conflict } of device.shown(id)!.conflicts)
        await device.do({ type: 'settleConflict', conflict, take: this.next() < 0.5 ? 'kept' : 'other' }, id);
    for (const question of device.share().questions())
      await device.share().answer(question, question.is === 'differs' ? question.kept : null);
    await device.workshop.reload();
  }
}
