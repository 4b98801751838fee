import { createHash } from 'node:crypto';
import { uniformStream } from '@/core/money/streams';
import type { BatchName, ShareFile } from '@/model/share/change';
import { Replica } from '@/model/share/replica';
import { readShare, shareName, shareText, standsFor } from '@/model/share/shareText';

export const sumOf = (text: string): string => createHash('sha256').update(text).digest('hex');

/** What a text says, read once: the same texts lie with every device. */
function reader() {
  const known = new Map<string, ShareFile | null>();
  return (text: string): ShareFile | null => {
    const there = known.get(text);
    if (there !== undefined) return there;
    const read = readShare(text, sumOf);
    const file = 'file' in read ? read.file : null;
    known.set(text, file);
    return file;
  };
}

interface Device {
  replica: Replica;
  life: number;
  clockMs: number;
  snapshots: number;
  /** What it has kept of itself, last and long ago. */
  kept: string;
  backup: string;
  /** The folder as this device sees it: files by name, whole, torn or doubled. */
  folder: Map<string, string>;
  online: boolean;
}

const DAY_MS = 86_400_000;

/**
 * A shop of several devices on one folder, kept the same by an engine that means ill: it carries files late, in any order, twice, in halves, under names of conflict copies, and
 * loses the folder; devices are killed, put back from old copies, and have clocks that differ by weeks.
 */
export class MaliciousFolder {
  readonly devices: Device[];
  /** Every batch that was said to be kept. */
  readonly acknowledged: BatchName[] = [];
  private readonly next: () => number;
  private under: { to: number; name: string; text: string }[] = [];
  private stamps = 0;
  private readonly fileIn = reader();

  /** `loses`: what gets lost beside the kills. A device that is put back while the folder is lost loses what was nowhere else, which nobody can help. */
  constructor(
    seed: number,
    private readonly loses: 'folder' | 'devices',
    count = 5,
  ) {
    this.next = uniformStream(seed, 'malicious folder');
    this.devices = Array.from({ length: count }, (_, i) => ({
      replica: new Replica(`d${i}.l0`),
      life: 0,
      clockMs: (this.next() - 0.5) * 40 * DAY_MS,
      snapshots: 0,
      kept: '',
      backup: '',
      folder: new Map(),
      online: true,
    }));
    for (const device of this.devices) this.keep(device);
  }

  private pick(below: number): number {
    return Math.floor(this.next() * below);
  }

  /** A device keeps itself: what it knows, as a snapshot. */
  private keep(device: Device): void {
    device.kept = JSON.stringify(device.replica.snapshot(1));
  }

  /** A new life from what was kept; numbers of the old one are not given again. */
  private revive(device: Device, i: number, from: string): void {
    device.life += 1;
    device.replica = new Replica(`d${i}.l${device.life}`);
    device.snapshots = 0;
    device.replica.take(JSON.parse(from) as ShareFile);
    this.keep(device);
  }

  private write(i: number, file: ShareFile): void {
    const [name, text] = [shareName(file), shareText(file, sumOf)];
    this.devices[i]!.folder.set(name, text);
    this.devices.forEach((_, to) => to !== i && this.under.push({ to, name, text }));
  }

  /** Something is entered: kept here first, then written out. */
  private enter(i: number): void {
    const device = this.devices[i]!;
    const entered = Array.from({ length: 1 + this.pick(3) }, () => {
      const moment = new Date(1_790_000_000_000 + device.clockMs + this.stamps * 60_000).toISOString();
      return {
        record: `bicycle/b${this.pick(3)}`,
        leaf: `leaf${this.pick(4)}`,
        value: this.next() < 0.15 ? null : this.pick(5),
        stamp: `${moment} c${this.stamps++}`,
      };
    });
    const batch = device.replica.commit(entered);
    this.keep(device);
    this.acknowledged.push([batch.writer, batch.number]);
    // A kill between keeping and writing: the next life sends it with its snapshot.
    if (this.next() < 0.1) {
      this.revive(device, i, device.kept);
      this.snap(i);
    } else this.write(i, batch);
  }

  private snap(i: number): void {
    const device = this.devices[i]!;
    const snapshot = device.replica.snapshot(++device.snapshots);
    this.write(i, snapshot);
    const own = [...device.folder.values()].flatMap((text) => {
      const file = this.fileIn(text);
      return file ? [file] : [];
    });
    for (const file of standsFor(own, snapshot)) device.folder.delete(shareName(file));
  }

  private carry(): void {
    if (this.under.length === 0) return;
    const at = this.pick(this.under.length);
    const { to, name, text } = this.under[at]!;
    const device = this.devices[to]!;
    if (!device.online) return;
    const how = this.next();
    if (how < 0.12) device.folder.set(name, text.slice(0, this.pick(text.length)));
    else if (how < 0.2) device.folder.set(`${name} (conflict copy ${this.pick(99)})`, text);
    else {
      device.folder.set(name, text);
      if (how < 0.9) this.under.splice(at, 1);
    }
  }

  read(i: number): void {
    const device = this.devices[i]!;
    const texts = [...device.folder.values()];
    for (let k = texts.length; k > 0; k--) {
      const [text] = texts.splice(this.pick(texts.length), 1);
      const file = this.fileIn(text!);
      if (file) device.replica.take(file);
    }
    this.keep(device);
  }

  step(): void {
    const i = this.pick(this.devices.length);
    const device = this.devices[i]!;
    const what = this.next();
    if (what < 0.3) this.enter(i);
    else if (what < 0.62) this.carry();
    else if (what < 0.84) this.read(i);
    else if (what < 0.89) this.snap(i);
    else if (what < 0.92) device.online = !device.online;
    else if (what < 0.94) device.backup = device.kept;
    else if (what < 0.96) this.revive(device, i, device.kept);
    else if (what < 0.97 && this.loses === 'devices' && device.backup !== '') this.revive(device, i, device.backup);
    else if (what < 0.98 && this.loses === 'folder') device.folder.clear();
  }

  /** The engine grows tired: all is online, each device fills the folder again, everything arrives, everyone reads. */
  settle(): void {
    for (let round = 0; round < 2; round++) {
      this.devices.forEach((device, i) => {
        device.online = true;
        this.snap(i);
      });
      for (const { to, name, text } of this.under) this.devices[to]!.folder.set(name, text);
      this.under = [];
      this.devices.forEach((_, i) => this.read(i));
    }
  }
}
