/** The keys that no button shows, always in sight; the others stand on their buttons. */
export function KeyList() {
  const rows: readonly (readonly [keys: readonly string[], what: string])[] = [
    [["D"], "dissolve to next"],
    [["Home"], "follow the script"],
    [["↓", "↑"], "arm a step on, back"],
    [["→", "←"], "arm a cue on, back"],
  ];
  return (
    <section aria-label="Keys" className="border-t border-edge px-4 py-2.5">
      <dl className="grid grid-cols-2 gap-x-4 gap-y-1.5 text-[14px]">
        {rows.map(([keys, what]) => (
          <div key={what} className="flex items-center gap-2">
            <dt className="flex shrink-0 items-center gap-1">
              {keys.map((key) => (
                <kbd key={key}>{key}</kbd>
              ))}
            </dt>
            <dd className="truncate text-second">{what}</dd>
          </div>
        ))}
      </dl>
      <p className="mt-1.5 text-[14px] text-second">
        A click on a step arms it. Only the keys below go to air; <kbd>Esc</kbd> and <kbd>Del</kbd> are held.
      </p>
    </section>
  );
}
