'use client';
import type { DriveFigure } from '@/model/drive/part';
import { kindOfUnit } from '@/ui/kindOfUnit';
import { ReadingField, type ReadingKind } from '@/ui/ReadingField';
import type { StageProps } from '../workshop/WorkshopProvider';

/** A figure of the drive, kept wherever it is typed. */
export function DriveField({
  bicycle,
  send,
  figure,
  label,
  unit,
  least,
  most,
  kind = kindOfUnit(unit),
  help,
  width = 210,
}: StageProps & {
  figure: DriveFigure;
  label: string;
  unit: string;
  least: number;
  most: number;
  kind?: ReadingKind;
  help?: string;
  width?: number;
}) {
  return (
    <ReadingField
      label={label}
      kind={kind}
      unit={unit}
      width={width}
      {...(help !== undefined && { help })}
      value={bicycle.driveFigures[figure] ?? null}
      onCommit={(value) => send({ type: 'putDriveFigure', figure, value })}
      onClear={() => send({ type: 'putDriveFigure', figure, value: null })}
      refuse={(value) => (value < least || value > most ? `${least} to ${most} ${unit}` : null)}
    />
  );
}
