import { LONG } from './lane';

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
export type Told = { kind: 'answer'; answer: ThreadAnswer } | { kind: 'busy' } | { kind: 'late' } | { kind: 'broke' };

/** A thread that has been started, and how to end it. */
export interface Thread {
  ask(question: Question): Promise<ThreadAnswer>;
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
    private readonly start: () => Thread,
    private readonly deadlineMs: number,
  ) {}

  async ask(question: Question): Promise<Told> {
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

  private async run(question: Question, leftMs: number): Promise<Told> {
    if (leftMs <= 0) return { kind: 'late' };
    const thread = (this.thread ??= this.start());
    let timer: ReturnType<typeof setTimeout> | undefined;
    const late = new Promise<Told>((resolve) => {
      timer = setTimeout(() => resolve({ kind: 'late' }), leftMs);
    });
    const answered = thread.ask(question).then(
      (answer): Told => ({ kind: 'answer', answer }),
      (): Told => ({ kind: 'broke' }),
    );
    const told = await Promise.race([answered, late]);
    clearTimeout(timer);
    // A thread that is late or broken is not asked again.
    if (told.kind !== 'answer') this.end();
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

/** Two lanes of threads, a quick one and a long one; a question that takes too long loses its thread and is told so. */
export function createThreads(start: () => Thread, deadlineMs = DEADLINE_MS): Threads {
  const quick = new ThreadLane(start, deadlineMs);
  const long = new ThreadLane(start, deadlineMs);
  return {
    ask: (question) => (LONG.has(question.id) ? long : quick).ask(question),
    end() {
      quick.end();
      long.end();
    },
  };
}
