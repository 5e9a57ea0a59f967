import { useVirtualizer } from '@tanstack/react-virtual';
import { useEffect, useRef, type ReactNode } from 'react';

interface Props {
  /** How high it may become before it scrolls. */
  className: string;
  count: number;
  /** Height of a row before it is measured, px. */
  height: number;
  /** A row that is to be in sight. */
  active?: number | undefined;
  /** Identity of a row, so that it keeps its height when others come before it. */
  keyOf: (row: number) => string;
  children: (row: number) => ReactNode;
}

/** Rows of a long list, of which only those near the eye stand in the document. */
export default function VirtualRows({ className, count, height, active, keyOf, children }: Props) {
  const scroller = useRef<HTMLDivElement>(null);
  const rows = useVirtualizer({
    count,
    getScrollElement: () => scroller.current,
    estimateSize: () => height,
    getItemKey: keyOf,
    overscan: 6,
  });
  useEffect(() => {
    if (active !== undefined && active < count) rows.scrollToIndex(active, { align: 'auto' });
  }, [active, count, rows]);
  return (
    <div ref={scroller} role="presentation" className={`overflow-y-auto ${className}`}>
      <div className="relative w-full" role="presentation" style={{ height: rows.getTotalSize() }}>
        {rows.getVirtualItems().map(({ key, index, start }) => (
          <div
            key={key}
            role="presentation"
            data-index={index}
            ref={rows.measureElement}
            className="absolute inset-x-0 top-0"
            style={{ transform: `translateY(${start}px)` }}
          >
            {children(index)}
          </div>
        ))}
      </div>
    </div>
  );
}
