/** Version of the stored shape; every change of it adds a step to `migrate/steps.ts`. */
export const SCHEMA_VERSION = 16;
