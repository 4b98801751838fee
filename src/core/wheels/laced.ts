import * as z from 'zod/mini';

const offset = z.number().check(z.gt(0), z.lte(80));
const radius = z.number().check(z.gt(5), z.lte(120));

/** Flanges of a hub: circles of their holes, and how far each stands from the middle between the locknuts. */
export const flanges = z.strictObject({
  leftRadiusMm: radius,
  rightRadiusMm: radius,
  leftOffsetMm: offset,
  rightOffsetMm: offset,
});
export const spokeCount = z.number().check(z.multipleOf(2), z.gte(16), z.lte(48));
export const crossings = z.number().check(z.multipleOf(1), z.gte(0), z.lte(4));
export const rimRadiusMm = z.number().check(z.gte(120), z.lte(350), z.describe('where the nipples sit'));
