import { materials } from './data/materials';

/** Names of every material that a joint may be made of, as the tables spell them. */
export const materialNames: string[] = materials.map((row) => row.material);
