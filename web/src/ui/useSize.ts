import { useLayoutEffect, useRef, useState, type RefObject } from 'react';

/** The size of an element in CSS pixels, kept as it changes. */
export function useSize<T extends Element>(): [RefObject<T | null>, { width: number; height: number } | undefined] {
  const ref = useRef<T>(null);
  const [size, setSize] = useState<{ width: number; height: number }>();
  useLayoutEffect(() => {
    const element = ref.current;
    if (!element) return undefined;
    const read = () => {
      const { width, height } = element.getBoundingClientRect();
      setSize((old) => (old && Math.abs(old.width - width) < 0.5 && Math.abs(old.height - height) < 0.5 ? old : { width, height }));
    };
    read();
    const observer = new ResizeObserver(read);
    observer.observe(element);
    return () => observer.disconnect();
  }, []);
  return [ref, size];
}
