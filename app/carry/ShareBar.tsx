/** How much of something is done. */
export function ShareBar({ label, share }: { label: string; share: number }) {
  const percent = Math.floor(Math.min(1, share) * 100);
  return (
    <div className="flex min-w-0 flex-1 items-center gap-3">
      <div
        role="progressbar"
        aria-label={label}
        aria-valuenow={percent}
        aria-valuemin={0}
        aria-valuemax={100}
        className="h-2.5 min-w-24 flex-1 overflow-hidden rounded-full bg-lifted"
      >
        <div className="h-full bg-act" style={{ width: `${percent}%` }} />
      </div>
      <span className="w-12 text-right font-mono text-[15px]">{percent} %</span>
    </div>
  );
}
