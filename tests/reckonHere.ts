import { reckon } from '@/core/reckon';

/** In the worker's stead: the calculators asked in place. For `jest.mock('@/worker/client', …)`. */
export function reckoner() {
  return {
    reckon: (_caller: string, id: string, input: unknown) => {
      const result = reckon(id, input);
      return Promise.resolve(
        result.status === 'ok' ? { ok: true, output: result.output } : { ok: false, errors: result.errors },
      );
    },
    cancel: () => undefined,
    end: () => undefined,
  };
}
