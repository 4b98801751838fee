import type { Page } from '@playwright/test';

/** Begins to note the time between frames in the page. */
export async function watchFrames(page: Page): Promise<void> {
  await page.evaluate(() => {
    const gaps: number[] = [];
    (window as unknown as { gaps: number[] }).gaps = gaps;
    let last = performance.now();
    // A method, since the runner's helper for named functions is not known in the page.
    const watch = {
      tick(now: number) {
        gaps.push(now - last);
        last = now;
        if (gaps.length < 400) requestAnimationFrame((next) => watch.tick(next));
      },
    };
    requestAnimationFrame((now) => watch.tick(now));
  });
}

/** The times between frames since then, without the first few. */
export async function frameGaps(page: Page): Promise<number[]> {
  return (await page.evaluate(() => (window as unknown as { gaps: number[] }).gaps)).slice(3);
}
