/** A moment so many hours before the demonstration is made. */
export type Ago = (hours: number) => string;
