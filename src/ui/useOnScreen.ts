'use client';
import { useWindowVirtualizer } from '@tanstack/react-virtual';
import { useLayoutEffect, useRef, useState, type RefObject } from 'react';

export interface OnScreen<List extends HTMLElement> {
  /** For the element that holds the rows. */
  list: RefObject<List | null>;
  /** Which rows are drawn. */
  indices: number[];
  /** How much is left out above and below them, in pixels. */
  abovePx: number;
  belowPx: number;
  /** For each row that is drawn, beside its `data-index`. */
  measure(row: Element | null): void;
}

/** The rows of a long list that are on the screen, as the page scrolls. `rowPx` is what a row is about as high as. */
export function useOnScreen<List extends HTMLElement>(
  count: number,
  rowPx: number,
  keyOf: (index: number) => string,
): OnScreen<List> {
  const list = useRef<List>(null);
  const [scrollMargin, setScrollMargin] = useState(0);
  // oxlint-disable-next-line react-hooks/exhaustive-deps -- whatever was drawn above may have moved it, and it is set only then
  useLayoutEffect(() => {
    const top = list.current ? list.current.getBoundingClientRect().top + window.scrollY : 0;
    setScrollMargin((was) => (Math.abs(was - top) > 1 ? top : was));
  });
  const virtual = useWindowVirtualizer({
    count,
    estimateSize: () => rowPx,
    overscan: 6,
    scrollMargin,
    getItemKey: keyOf,
  });
  const drawn = virtual.getVirtualItems();
  return {
    list,
    indices: drawn.map(({ index }) => index),
    abovePx: drawn.length > 0 ? drawn[0]!.start - scrollMargin : 0,
    belowPx: drawn.length > 0 ? virtual.getTotalSize() - (drawn.at(-1)!.end - scrollMargin) : 0,
    measure: virtual.measureElement,
  };
}
