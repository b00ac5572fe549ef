/** A small ladder: two rails and a number of rungs, of which the lowest `filled` are drawn heavily. */
export function LadderMark({
  rungs = 4,
  filled = 0,
  size = 22,
}: {
  readonly rungs?: number;
  readonly filled?: number;
  readonly size?: number;
}) {
  const step = 20 / (rungs + 1);
  return (
    <svg width={size} height={size} viewBox="0 0 22 22" aria-hidden="true" style={{ display: 'block', flexShrink: 0 }}>
      <g stroke="currentColor" strokeLinecap="round">
        <path d="M6 1v20M16 1v20" strokeWidth="1.8" />
        {Array.from({ length: rungs }, (_, index) => {
          const y = 21 - step * (index + 1);
          return <line key={index} x1="6" x2="16" y1={y} y2={y} strokeWidth={index < filled ? 3.2 : 1.3} />;
        })}
      </g>
    </svg>
  );
}
