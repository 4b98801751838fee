import { brakeOf, type BicycleKind } from '../bicycle';

const FRAME: Record<BicycleKind['frame'], string> = {
  diamond: 'bicycle',
  mixte: 'mixte',
  'step-through': 'step-through',
  'small-wheel': 'small-wheeler',
  'long-tail': 'long-tail',
  'full-suspension': 'full-suspension bicycle',
};
const BARS: Record<BicycleKind['bars'], string> = { drop: 'drop bars', flat: 'flat bars', swept: 'swept bars' };
const BRAKES: Record<BicycleKind['brakes'], string> = {
  caliper: 'side-pull brakes',
  cantilever: 'cantilever brakes',
  'direct-pull': 'direct-pull brakes',
  disc: 'disc brakes',
  drum: 'drum brakes',
  'back-pedal': 'a back-pedal brake',
};

function gearWords({ gears, rings, cogs }: BicycleKind): string {
  const count = (rings ?? 0) * (cogs ?? 0);
  switch (gears) {
    case 'derailleur':
      return count > 0 ? `${count} derailleur gears` : 'derailleur gears';
    case 'hub':
      return cogs !== null && cogs > 1 ? `a ${cogs}-speed hub gear` : 'a hub gear';
    case 'single':
      return 'one gear';
    case 'coaster':
      return 'one gear and a back-pedal hub';
  }
}

/** What a bicycle is in half a sentence, from what it was said to be. Example: "steel bicycle with drop bars, derailleur gears and side-pull brakes". */
export function kindWords(kind: BicycleKind): string {
  const [front, rear] = [brakeOf(kind, 'front'), brakeOf(kind, 'rear')];
  const brakes = front === rear ? BRAKES[front] : `${BRAKES[front]} in front, ${BRAKES[rear]} behind`;
  const carries = [
    kind.mudguards && 'mudguards',
    kind.rack && 'a rack',
    kind.lights && 'lights',
    kind.basket && 'a basket',
  ].filter((each) => each !== false);
  const all = [BARS[kind.bars], gearWords(kind), brakes, ...carries];
  return `${kind.electric ? 'electric ' : ''}${kind.frameMaterial} ${FRAME[kind.frame]} with ${all.slice(0, -1).join(', ')} and ${all.at(-1)}`;
}
