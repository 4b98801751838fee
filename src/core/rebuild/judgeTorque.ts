import { atLeast } from '../numbers';

export type TorqueJudgement = 'within' | 'under' | 'over' | 'by feel' | 'no figure';

/**
 * A signed torque against its band, the ends included. Units: N·m.
 * Example: `judgeTorque(24, { torqueMinNm: 16, torqueMaxNm: 24 })` is "within".
 */
export function judgeTorque(
  valueNm: number | null,
  band: { torqueMinNm: number | null; torqueMaxNm: number | null },
): TorqueJudgement {
  if (valueNm === null) return 'by feel';
  if (band.torqueMinNm === null || band.torqueMaxNm === null) return 'no figure';
  if (!atLeast(valueNm, band.torqueMinNm)) return 'under';
  return atLeast(band.torqueMaxNm, valueNm) ? 'within' : 'over';
}
