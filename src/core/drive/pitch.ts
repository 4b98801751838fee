/** Published pitches of cogs by how many there are, for parts of which no family tells it. */
export const USUAL_PITCH_MM: Readonly<Record<number, number>> = { 6: 5.5, 7: 5, 8: 4.8, 9: 4.35, 10: 3.95, 11: 3.74 };
