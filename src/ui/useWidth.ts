'use client';
import { useEffect, useRef, useState } from 'react';

/** The width of an element in CSS pixels, kept up as it changes; 0 before it is known. */
export function useWidth<E extends Element>() {
  const ref = useRef<E>(null);
  const [width, setWidth] = useState(0);
  useEffect(() => {
    const element = ref.current;
    if (!element || typeof ResizeObserver === 'undefined') return;
    const watch = new ResizeObserver(([entry]) => setWidth(entry?.contentRect.width ?? 0));
    watch.observe(element);
    return () => watch.disconnect();
  }, []);
  return { ref, width };
}
