import type { LaneName } from './subjects';

/** A question on its way: the calculator's id and the question as text. */
export interface Question {
  id: string;
  text: string;
}
/** What came of it: an HTTP status and a body, both as text, so that nothing large is copied between threads. */
export interface ThreadAnswer {
  status: number;
  body: string;
}
/** Not answered here: its calculator belongs to the other lane. */
export interface PassedOn {
  lane: 'long';
}
export type Told = { kind: 'answer'; answer: ThreadAnswer } | { kind: 'busy' } | { kind: 'late' } | { kind: 'broke' };

/** A thread that has been started, and how to end it. */
export interface Thread {
  ask(question: Question, lane: LaneName): Promise<ThreadAnswer | PassedOn>;
  end(): void;
}

/** How long a question may take, waiting included. */
export const DEADLINE_MS = 10_000;
/** Questions that may wait in one lane. */
const MOST_WAITING = 12;

class ThreadLane {
  private thread: Thread | null = null;
  private waiting = 0;
  private tail: Promise<unknown> = Promise.resolve();

  constructor(
    private readonly name: LaneName,
    private readonly start: () => Thread,
    private readonly deadlineMs: number,
  ) {}

  async ask(question: Question): Promise<Told | PassedOn> {
    if (this.waiting >= MOST_WAITING) return { kind: 'busy' };
    this.waiting++;
    const until = Date.now() + this.deadlineMs;
    const mine = this.tail.then(() => this.run(question, until - Date.now()));
    this.tail = mine.catch(() => undefined);
    try {
      return await mine;
    } finally {
      this.waiting--;
    }
  }

  private async run(question: Question, leftMs: number): Promise<Told | PassedOn> {
    if (leftMs <= 0) return { kind: 'late' };
    const thread = (this.thread ??= this.start());
    let timer: ReturnType<typeof setTimeout> | undefined;
    const late = new Promise<Told>((resolve) => {
      timer = setTimeout(() => resolve({ kind: 'late' }), leftMs);
    });
    const answered = thread.ask(question, this.name).then(
      (answer): Told | PassedOn => ('lane' in answer ? answer : { kind: 'answer', answer }),
      (): Told => ({ kind: 'broke' }),
    );
    const told = await Promise.race([answered, late]);
    clearTimeout(timer);
    // A thread that is late or broken is not asked again.
    if ('kind' in told && told.kind !== 'answer') this.end();
    return told;
  }

  end(): void {
    this.thread?.end();
    this.thread = null;
  }
}

export interface Threads {
  ask(question: Question): Promise<Told>;
  end(): void;
}

/**
 * Two lanes of threads, a quick one and a long one; a question that takes too long loses its thread and is told so. Which
 * calculators are long is learnt from the first question of each.
 */
export function createThreads(start: () => Thread, deadlineMs = DEADLINE_MS): Threads {
  const quick = new ThreadLane('quick', start, deadlineMs);
  const long = new ThreadLane('long', start, deadlineMs);
  const known = new Set<string>();
  return {
    async ask(question) {
      const told = known.has(question.id) ? { lane: 'long' as const } : await quick.ask(question);
      if (!('lane' in told)) return told;
      known.add(question.id);
      // The long lane passes nothing on.
      return (await long.ask(question)) as Told;
    },
    end() {
      quick.end();
      long.end();
    },
  };
}
