import { lightFormat, parseISO } from 'date-fns';
import { roundTo } from '@/core/numbers';
import { currencyOfUnit, type WorkingRow } from '@/core/verdict';

const formats = new Map<string, Intl.NumberFormat>();

/** Minor units as money, a whole amount without its noughts. Example: `money(14050, 'EUR')` is "€140.50", `money(14000, 'EUR')` is "€140". */
export const money = (minor: number, currency: string): string => written(minor, currency, minor % 100 === 0 ? 0 : 2);

/** Minor units as they stand under one another, in bills, ledgers and workings: always to the cent. Example: "€140.00". */
export const moneyInFull = (minor: number, currency: string): string => written(minor, currency, 2);

/** What may be paid at the most, as it is said: whole, and never more than was reckoned. Example: `limit(13499, 'EUR')` is "€134". */
export const limit = (minor: number, currency: string): string => money(Math.floor(minor / 100) * 100, currency);

function written(minor: number, currency: string, digits: 0 | 2): string {
  const key = `${currency}${digits}`;
  let format = formats.get(key);
  if (!format) {
    format = new Intl.NumberFormat('en-GB', {
      style: 'currency',
      currency,
      minimumFractionDigits: digits,
      maximumFractionDigits: digits,
    });
    formats.set(key, format);
  }
  return format.format(minor / 100);
}

/** Minor units as they would be typed. Example: `moneyTyped(14050)` is "140.50". */
export function moneyTyped(minor: number): string {
  return minor % 100 === 0 ? String(minor / 100) : (minor / 100).toFixed(2);
}

/** Minutes as hours and minutes. Example: `hours(135)` is "2 h 15". */
export function hours(minutes: number): string {
  const whole = Math.round(minutes);
  const h = Math.floor(whole / 60);
  const m = whole % 60;
  if (h === 0) return `${m} min`;
  return m === 0 ? `${h} h` : `${h} h ${String(m).padStart(2, '0')}`;
}

/** A share as a percentage without false exactness. Example: `percent(0.0312)` is "3 %". */
export function percent(share: number): string {
  const value = share * 100;
  if (value > 0 && value < 1) return 'under 1 %';
  if (value > 99 && value < 100) return 'over 99 %';
  return `${Math.round(value)} %`;
}

/** A working row's value, money shown as money. */
export function workingValue(row: WorkingRow): string {
  const currency = currencyOfUnit(row.unit);
  if (currency && typeof row.value === 'number') return moneyInFull(roundTo(row.value, 0), currency);
  return `${row.value}${row.unit ? ` ${currency ? '' : row.unit}` : ''}`;
}

/** Time of day. Example: "21:40". */
export function clockTime(at: Date): string {
  return lightFormat(at, 'HH:mm');
}

/** A date as it stands on a sheet. Example: "25 November 2026". */
export function dayOf(iso: string): string {
  // A day without a time belongs to no zone, and is read as one of the wall's.
  return parseISO(iso).toLocaleDateString('en-GB', { day: 'numeric', month: 'long', year: 'numeric' });
}
