'use client';
import type { StageProps } from '../workshop/WorkshopProvider';
import { ChainLength } from './ChainLength';
import { GearsView } from './GearsView';
import { IndexAdviser } from './IndexAdviser';
import { Teeth } from './Teeth';
import { WearCost } from './WearCost';
import { WorksTogether } from './WorksTogether';

/** What is reckoned of the drive at one of its places. */
export function DriveAt({ bicycle, send, place }: StageProps & { place: string }) {
  const at = { bicycle, send };
  const isDerailleur = bicycle.kind.gears === 'derailleur';
  switch (place) {
    case 'chain':
      return (
        <>
          <Teeth {...at} />
          <ChainLength {...at} />
          <WearCost {...at} />
        </>
      );
    case 'cogs':
    case 'chainrings':
      return (
        <>
          <Teeth {...at} />
          <GearsView {...at} />
          {isDerailleur && <WorksTogether {...at} />}
        </>
      );
    case 'derailleur.rear':
      return isDerailleur ? (
        <>
          <Teeth {...at} />
          <IndexAdviser {...at} />
          <WorksTogether {...at} />
        </>
      ) : null;
    case 'shifter.left':
    case 'shifter.right':
      return isDerailleur ? (
        <>
          <Teeth {...at} />
          <WorksTogether {...at} />
        </>
      ) : null;
    default:
      return null;
  }
}
