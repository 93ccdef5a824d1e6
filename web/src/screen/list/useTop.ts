import { useLayoutEffect, useState } from 'react';

const foot = 54; // px below a list's rows

/** How far from the top of the page an element begins, so that it can end where the window ends. */
export function useTop(box: React.RefObject<HTMLElement | null>) {
  const [top, setTop] = useState(220);
  useLayoutEffect(() => {
    const measure = () => {
      const at = box.current?.getBoundingClientRect().top ?? 0;
      const page = box.current?.closest('[data-stage]') ? 160 : at + window.scrollY;
      setTop(Math.round(page) + foot);
    };
    measure();
    const watch = new ResizeObserver(measure);
    watch.observe(document.body);
    return () => watch.disconnect();
  }, [box]);
  return top;
}
