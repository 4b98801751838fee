import type { BearingSection } from './sectionTypes';

export interface SectionLabel {
  label: string;
  /** Where the words stand: their middle, or their right end where the section stands upright. */
  x: number;
  y: number;
  /** What the leader runs to. */
  toX: number;
  toY: number;
}

export interface SectionLabels {
  labels: SectionLabel[];
  /** What they need at the sides of the section. */
  aboveMm: number;
  belowMm: number;
  leftMm: number;
}

/** About half an em a letter: the usual width of the words of a drawing. */
const LETTER = 0.54;
const LINE = 1.3;
/** Lines of words above the section, and below it; where there is no room below, more above. */
const LEVELS = 2;
const LEVELS_ABOVE_ONLY = 4;

const PASSES = 6;

const wideMm = (label: string, textMm: number) => label.length * LETTER * textMm;

interface Spot {
  label: string;
  x: number;
  y: number;
}
type Laid = Spot & { middle: number; level: number; from: number; to: number };

/** Words on a few lines beside a section that lies across, the nearest line first; what comes first is served first, and what finds no room is handed back. */
function lines(named: Spot[], widthMm: number, textMm: number, levels: number): { laid: Laid[]; left: Spot[] } {
  const laid: Laid[] = [];
  const left: Spot[] = [];
  for (const spot of named) {
    const half = wideMm(spot.label, textMm) / 2;
    const middle = Math.min(Math.max(spot.x, half), widthMm - half);
    const [from, to] = [middle - half - textMm * 0.4, middle + half + textMm * 0.4];
    const level = Array.from({ length: levels }, (_, i) => i).find((i) =>
      laid.every(
        (other) =>
          // Words do not touch words, and no leader runs through words.
          (other.level !== i || other.to <= from || other.from >= to) &&
          (other.level >= i || spot.x <= other.from || spot.x >= other.to) &&
          (other.level <= i || other.x <= from || other.x >= to),
      ),
    );
    if (level === undefined) left.push(spot);
    else laid.push({ ...spot, middle, level, from, to });
  }
  return { laid, left };
}

function across(section: BearingSection, axisY: number, under: boolean, textMm: number): SectionLabels {
  const step = LINE * textMm;
  const above = lines(section.named, section.widthMm, textMm, under ? LEVELS : LEVELS_ABOVE_ONLY);
  const mirrored = above.left.map((spot) => ({ ...spot, y: 2 * axisY - spot.y }));
  const below = under ? lines(mirrored, section.widthMm, textMm, LEVELS).laid : [];
  const most = (laid: Laid[]) => Math.max(0, ...laid.map((each) => each.level + 1)) * step;
  const words = (laid: Laid[], yOf: (level: number) => number): SectionLabel[] =>
    laid.map(({ label, middle, level, x, y }) => ({ label, x: middle, y: yOf(level), toX: x, toY: y }));
  return {
    labels: [
      ...words(above.laid, (level) => -(level + 0.4) * step),
      ...words(below, (level) => section.heightMm + (level + 0.8) * step),
    ],
    aboveMm: most(above.laid),
    belowMm: most(below),
    leftMm: 0,
  };
}

function atLeft(section: BearingSection, textMm: number): SectionLabels {
  const order = [...section.named].sort((a, b) => a.y - b.y);
  const step = LINE * textMm;
  const ys = order.map(({ y }) => y);
  // Pushed apart downwards first, then back up from the lower edge of the sheet.
  for (let i = 0; i < ys.length; i++) ys[i] = Math.max(ys[i]!, i === 0 ? step / 2 : ys[i - 1]! + step);
  for (let i = ys.length - 1; i >= 0; i--)
    ys[i] = Math.min(ys[i]!, i === ys.length - 1 ? section.heightMm - step / 2 : ys[i + 1]! - step);
  const gap = textMm * 1.2;
  const widest = Math.max(0, ...order.map(({ label }) => wideMm(label, textMm)));
  return {
    labels: order.map(({ label, x, y }, i) => ({ label, x: section.freeLeftMm - gap, y: ys[i]!, toX: x, toY: y })),
    aboveMm: 0,
    belowMm: 0,
    leftMm: order.length === 0 ? 0 : Math.max(0, gap + widest - section.freeLeftMm),
  };
}

/** Where the names of a section stand, with words of a given size. */
export function layLabels(section: BearingSection, under: boolean, textMm: number): SectionLabels {
  return section.axisY === null ? atLeft(section, textMm) : across(section, section.axisY, under, textMm);
}

/** A section with its names, in a sheet of a given number of pixels. */
export interface FittedSection extends SectionLabels {
  /** Millimetres of the bearing to a pixel, so that words and lines keep their size on the screen. */
  mmPerPx: number;
  /** Room under the section, for names there or for those of the rows. */
  underMm: number;
}

/**
 * A section fitted into a sheet, with names so laid that none touches another and no leader runs through words: above a
 * section that lies across and, where `under` is free, below it; at the left of one that stands upright. A name that
 * finds no room is left out. Words need room and room makes the rest smaller: it is gone through until that settles.
 * Units: mm of the bearing, pixels of the sheet. Errors: none. Example: cup and cone of one row stand on two lines.
 */
export function fitSection(
  section: BearingSection,
  sheet: { widePx: number; tallPx: number; textPx: number; rowNamePx: number },
  under: boolean,
): FittedSection {
  let mmPerPx = Math.max(section.widthMm / sheet.widePx, section.heightMm / sheet.tallPx);
  for (let pass = 0; ; pass++) {
    const laid = layLabels(section, under, sheet.textPx * mmPerPx);
    const underMm = Math.max(laid.belowMm, section.faces.length > 0 ? sheet.rowNamePx * mmPerPx : 0);
    const next = Math.max(
      (section.widthMm + laid.leftMm) / sheet.widePx,
      (section.heightMm + laid.aboveMm + underMm) / sheet.tallPx,
    );
    if (pass === PASSES || next <= mmPerPx * 1.01) return { ...laid, mmPerPx, underMm };
    mmPerPx = next;
  }
}
