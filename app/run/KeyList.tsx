/** The keys that no button shows, always in sight; the others stand on their buttons. */
export function KeyList() {
  const rows: readonly (readonly [keys: readonly string[], what: string, title: string])[] = [
    [["D"], "dissolve", "take the next step by a dissolve"],
    [["↓", "↑"], "arm", "arm the step after, before"],
    [["→", "←"], "a cue", "arm the cue after, before"],
    [["Home"], "follow", "follow the script again"],
    [["F"], "find", "find anything: arm it, add it, take it"],
  ];
  return (
    <section aria-label="Keys" className="border-t border-edge px-4 py-2">
      <dl className="flex justify-between text-[14px]">
        {rows.map(([keys, what, title]) => (
          <div key={what} title={title} className="flex items-center gap-1.5">
            <dt className="flex shrink-0 items-center gap-1">
              {keys.map((key) => (
                <kbd key={key}>{key}</kbd>
              ))}
            </dt>
            <dd className="text-second">{what}</dd>
          </div>
        ))}
      </dl>
      <p className="mt-1 text-[14px] text-second">
        A click arms a step. <kbd>Esc</kbd> and <kbd>Del</kbd> are held for half a second.
      </p>
    </section>
  );
}
