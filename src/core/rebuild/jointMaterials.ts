import type { BicycleKind } from '../bicycle';

/** What a frame or a fork is to a joint: paint is not what a clamp holds, but a bath asks for it. */
const METAL = {
  steel: 'painted steel sound',
  aluminium: 'anodised aluminium',
  titanium: 'titanium',
  carbon: 'carbon',
} as const;
const CLAMPED = { metal: 'anodised aluminium', carbon: 'carbon' } as const;

/** The material that a joint's row speaks of, on this bicycle. Example: `@post` of a carbon post is "carbon". */
export function materialAt(written: string, kind: BicycleKind): string {
  switch (written) {
    case '@frame':
      return METAL[kind.frameMaterial];
    case '@fork':
      return METAL[kind.forkMaterial ?? kind.frameMaterial];
    case '@steerer':
      return METAL[kind.steererMaterial ?? (kind.stem === 'quill' ? 'steel' : kind.frameMaterial)];
    case '@post':
      return CLAMPED[kind.postMaterial ?? 'metal'];
    case '@bar':
      return CLAMPED[kind.barMaterial ?? 'metal'];
    case '@crank':
      return kind.cranks === 'cottered' ? 'chrome plate' : 'anodised aluminium';
    default:
      return written;
  }
}
