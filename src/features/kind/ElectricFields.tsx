'use client';
import Box from '@mui/material/Box';
import Typography from '@mui/material/Typography';
import type { Bicycle } from '@/model/record';
import { Choices } from '@/ui/Choices';
import { KeptText } from '@/ui/KeptText';
import { StateMark } from '@/ui/StateMark';
import type { StageProps } from '../workshop/WorkshopProvider';

type Drive = Bicycle['electricDrive'];

const WAYS = [
  { id: 'without-drive', label: 'Sold without its drive' },
  { id: 'referred', label: 'Referred to a qualified person' },
] as const;
const MOTORS = [
  { id: 'front-hub', label: 'Front hub' },
  { id: 'rear-hub', label: 'Rear hub' },
  { id: 'mid', label: 'At the cranks' },
] as const;
const BATTERIES = [
  { id: 'sound', label: 'Nothing seen' },
  { id: 'weak', label: 'Weak' },
  { id: 'damaged', label: 'Damaged' },
  { id: 'missing', label: 'Missing' },
] as const;
const HERE = [
  { id: 'here', label: 'Here' },
  { id: 'missing', label: 'Missing' },
] as const;

/** The drive of an electric bicycle, declared: it is sold without, or goes to whoever may work on it. */
export function ElectricFields({ bicycle, send }: StageProps) {
  const drive = bicycle.electricDrive;
  const put = (changes: Partial<Drive>) => send({ type: 'describeDrive', changes });
  return (
    <Box sx={{ display: 'grid', gap: 1.75 }}>
      <Typography sx={{ maxWidth: '60ch' }}>
        Its battery is not opened, not charged unattended and not stored where people sleep. Swollen, dented, wet or
        hot: out of the building, and to a qualified person. It is washed by hand, never with a jet.
      </Typography>
      <Choices label="What becomes of the drive" options={WAYS} value={drive.way} onChoose={(way) => put({ way })} />
      <Box sx={{ display: 'flex', columnGap: 3, rowGap: 1.75, flexWrap: 'wrap' }}>
        <Choices label="Motor" options={MOTORS} value={drive.motor} onChoose={(motor) => put({ motor })} />
        <Choices label="Battery" options={BATTERIES} value={drive.battery} onChoose={(battery) => put({ battery })} />
        <Choices label="Key" options={HERE} value={drive.key} onChoose={(key) => put({ key })} />
        <Choices label="Charger" options={HERE} value={drive.charger} onChoose={(charger) => put({ charger })} />
      </Box>
      <KeptText label="Faults it shows" value={drive.faults} onKeep={(faults) => put({ faults })} width={420} />
      {drive.battery === 'damaged' && (
        <Box role="alert" sx={{ display: 'flex', gap: 1, alignItems: 'center', fontWeight: 640 }}>
          <StateMark state="unsafe" size={22} /> A damaged battery: out of the building, and to a qualified person.
        </Box>
      )}
    </Box>
  );
}
