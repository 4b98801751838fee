import type { Answer, InputError } from '@/core/calculator';
import type { AnswerOf, CalculatorId, QuestionOf } from '@/core/questions';
import type { Elsewhere, LaneName } from './subjects';

export type Reckoned<Output = unknown> = { ok: true; output: Output } | { ok: false; errors: InputError[] };

/** A worker that has been started, and how to end it. */
export interface Started {
  reckon(id: string, input: unknown, lane: LaneName, onBetter?: (output: unknown) => void): Promise<Answer | Elsewhere>;
  end(): void;
}

export class Cancelled extends Error {}

interface Request {
  caller: string;
  id: string;
  input: unknown;
  /** Hears better and better answers until the last is there. */
  onBetter?: ((output: unknown) => void) | undefined;
  resolve(result: Reckoned): void;
  reject(reason: unknown): void;
}

/** A dropped request is left to finish this long: starting a worker anew takes longer than most reckonings. */
const GRACE_MS = 250;

class Lane {
  private worker: Started | null = null;
  private running: Request | null = null;
  private queue: Request[] = [];
  private dropped = false;
  private impatience: ReturnType<typeof setTimeout> | undefined;

  constructor(
    private readonly name: LaneName,
    private readonly start: () => Started,
    /** Takes a question that belongs to the other lane. */
    private readonly pass: (request: Request) => void,
  ) {}

  ask(request: Request): void {
    this.cancel(request.caller);
    this.queue.push(request);
    this.pump();
  }

  /** The latest request of a caller wins: what it asked before is dropped, even in the middle of the reckoning. */
  cancel(caller: string): void {
    for (const old of this.queue.filter((request) => request.caller === caller)) old.reject(new Cancelled(caller));
    this.queue = this.queue.filter((request) => request.caller !== caller);
    if (this.running?.caller !== caller || this.dropped) return;
    this.running.reject(new Cancelled(caller));
    this.dropped = true;
    this.impatience = setTimeout(() => {
      this.end();
      this.next();
    }, GRACE_MS);
  }

  private next(): void {
    clearTimeout(this.impatience);
    this.running = null;
    this.dropped = false;
    this.pump();
  }

  private pump(): void {
    if (this.running || this.queue.length === 0) return;
    const request = this.queue.shift()!;
    this.running = request;
    this.worker ??= this.start();
    const { onBetter } = request;
    const hear =
      onBetter && ((output: unknown) => void (this.running === request && !this.dropped && onBetter(output)));
    this.worker.reckon(request.id, request.input, this.name, hear).then(
      (answer) => {
        if (this.running !== request) return;
        if ('ok' in answer) request.resolve(answer);
        // What was dropped meanwhile is asked nowhere.
        else if (!this.dropped) this.pass(request);
        this.next();
      },
      (error: unknown) => {
        if (this.running !== request) return;
        this.end();
        request.reject(error);
        this.next();
      },
    );
  }

  end(): void {
    this.worker?.end();
    this.worker = null;
  }
}

export interface Reckoner {
  /** Runs a calculator; a later call of the same caller cancels an earlier one. */
  reckon<Id extends CalculatorId>(
    caller: string,
    id: Id,
    input: QuestionOf<Id>,
    onBetter?: (output: AnswerOf<Id>) => void,
  ): Promise<Reckoned<AnswerOf<Id>>>;
  cancel(caller: string): void;
  end(): void;
}

/** Two lanes, a quick one and a long one, each with a worker of its own. Which calculators are long is learnt from the first. */
export function createReckoner(start: () => Started): Reckoner {
  const known = new Set<string>();
  const long = new Lane('long', start, () => undefined);
  const quick = new Lane('quick', start, (request) => {
    known.add(request.id);
    long.ask(request);
  });
  return {
    reckon: <Id extends CalculatorId>(
      caller: string,
      id: Id,
      input: QuestionOf<Id>,
      onBetter?: (output: AnswerOf<Id>) => void,
    ) =>
      new Promise<Reckoned<AnswerOf<Id>>>((resolve, reject) => {
        const lane = known.has(id) ? long : quick;
        lane.ask({
          caller,
          id,
          input,
          onBetter: onBetter as ((output: unknown) => void) | undefined,
          resolve: resolve as (result: Reckoned) => void,
          reject,
        });
      }),
    cancel(caller) {
      quick.cancel(caller);
      long.cancel(caller);
    },
    end() {
      quick.end();
      long.end();
    },
  };
}
