import { plainZero } from '../numbers';

/** An inch in tenths of a millimetre: whole, so that 3/16 in is 4.7625 mm to the last digit. */
const TENTHS_PER_INCH = 254;

export type ParsedReading = { ok: true; value: number } | { ok: false; hint: string };

/**
 * A length as a person or a caliper types it, in millimetres: `306.9`, `306,9`, `3/16`, `1 3/8`, `0.1875in`, `3/16 in`, `40 cm`.
 * A fraction without a unit is of an inch, since nobody measures millimetres in fractions.
 *
 * Errors come as a hint: text, a zero divisor, a negative length. Example: `parseLengthMm('3/16')` → 4.7625.
 */
export function parseLengthMm(text: string): ParsedReading {
  const trimmed = text
    .trim()
    .toLowerCase()
    .replace(/\u2033|"/g, 'in');
  if (trimmed === '') return { ok: false, hint: 'type a reading' };
  const fraction = /^(?:(\d+)[\s-]+)?(\d+)\s*\/\s*(\d+)\s*(?:in)?$/.exec(trimmed);
  if (fraction) {
    const [, whole, top, bottom] = fraction;
    if (Number(bottom) === 0) return { ok: false, hint: 'a fraction cannot be divided by 0' };
    return {
      ok: true,
      value: ((Number(whole ?? 0) * Number(bottom) + Number(top)) * TENTHS_PER_INCH) / (10 * Number(bottom)),
    };
  }
  const inches = /^(.*?)\s*in$/.exec(trimmed);
  const centimetres = /^(.*?)\s*cm$/.exec(trimmed);
  const number = parseDecimal((inches ?? centimetres)?.[1] ?? trimmed.replace(/\s*mm$/, ''));
  if (!number.ok) return number;
  const { value } = number;
  return { ok: true, value: inches ? (value * TENTHS_PER_INCH) / 10 : centimetres ? (value * 100) / 10 : value };
}

/**
 * A reading that goes either way from its nought, as a gauge shows it: `-0.4`, `−0,4`, `+1`, `0.5 mm`. Errors come as a hint. Example:
 * `parseSignedMm('-0,4')` → −0.4.
 */
export function parseSignedMm(text: string): ParsedReading {
  const found = /^\s*([-\u2212+]?)\s*(.*)$/.exec(text)!;
  const length = parseLengthMm(found[2]!);
  return length.ok && found[1] !== '' && found[1] !== '+' ? { ok: true, value: plainZero(-length.value) } : length;
}

/** A plain number with a point or a comma: `306.9`, `306,9`. Never negative. Example: `parseDecimal('0,5')` → 0.5. */
export function parseDecimal(text: string): ParsedReading {
  const trimmed = text.trim();
  if (/^[-\u2212]/.test(trimmed))
    return { ok: false, hint: 'a reading is never negative: zero the caliper and measure again' };
  if (!/^(\d+([.,]\d*)?|[.,]\d+)$/.test(trimmed)) {
    return { ok: false, hint: `"${trimmed.slice(0, 20)}" is no reading: type digits, for example 306.9 or 3/16` };
  }
  const value = Number(trimmed.replace(',', '.'));
  return Number.isFinite(value) && value < 1e7
    ? { ok: true, value }
    : { ok: false, hint: 'far too large: read it again' };
}

/** What a person may write behind a number, each as so much of the first, which stands where nothing is written. */
const UNITS = {
  pressure: { bar: 1, psi: 0.0689476, kpa: 0.01 },
  speed: { 'km/h': 1, kmh: 1, mph: 1.609344 },
  distance: { m: 1, ft: 0.3048, cm: 0.01 },
} as const;

/** A number with or without one of some units. Another unit is refused in words rather than read as if it were not there. */
function parseIn(units: Readonly<Record<string, number>>): (text: string) => ParsedReading {
  const names = Object.keys(units);
  return (text) => {
    const found = /^(.*?)\s*([a-z/]+)$/i.exec(text.trim());
    const number = parseDecimal(found ? found[1]! : text);
    if (!number.ok || !found) return number;
    const factor = Object.hasOwn(units, found[2]!.toLowerCase()) ? units[found[2]!.toLowerCase()]! : null;
    return factor === null
      ? { ok: false, hint: `"${found[2]!.slice(0, 12)}" is no unit here: ${names.join(', ')}` }
      : { ok: true, value: factor === 1 ? number.value : Math.round(number.value * factor * 1e4) / 1e4 };
  };
}

/** A pressure in bar: `4`, `4 bar`, `60 psi`, `400 kPa`. Example: `parsePressureBar('60 psi')` → 4.1369. */
export const parsePressureBar = parseIn(UNITS.pressure);
/** A speed in km/h: `20`, `12 mph`. Example: `parseSpeedKmh('10 mph')` → 16.0934. */
export const parseSpeedKmh = parseIn(UNITS.speed);
/** A distance in metres: `3.5`, `12 ft`. Example: `parseDistanceM('10 ft')` → 3.048. */
export const parseDistanceM = parseIn(UNITS.distance);

/**
 * An amount of money as typed, in minor units: `140`, `140.5`, `140,50`. More than two decimals is refused, because money
 * never rounds silently. Example: `parseMoneyMinor('12,5')` → 1250.
 */
export function parseMoneyMinor(text: string): ParsedReading {
  const trimmed = text.trim().replace(/^[\u20ac\u00a3$]\s*/, '');
  if (/^[-\u2212]/.test(trimmed)) return { ok: false, hint: 'an amount is never negative here' };
  const found = /^(\d{1,7})(?:[.,](\d{1,2}))?$/.exec(trimmed);
  if (!found) return { ok: false, hint: `"${trimmed.slice(0, 20)}" is no amount: type it as 140 or 140.50` };
  return { ok: true, value: Number(found[1]) * 100 + Number((found[2] ?? '').padEnd(2, '0')) };
}
