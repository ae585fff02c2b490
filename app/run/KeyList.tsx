import type { Layer } from "../../core/screens/plan.ts";

/** Every key of this view, always in sight. */
export function KeyList({ layers }: { layers: readonly Layer[] }) {
  const rows: readonly (readonly [keys: readonly string[], what: string])[] = [
    [["Space"], "take next"],
    [["X"], "cut to next, no motion"],
    [["↓", "↑"], "arm a step on, back"],
    [["→", "←"], "arm a cue on, back"],
    [["Home"], "follow the script again"],
    [["O"], "out: the last page"],
    [["1", `${layers.length}`], "out: one layer"],
    [["U"], "undo the last take"],
    [["Esc"], "hold: clear"],
    [["Del"], "hold: clear everything"],
  ];
  return (
    <section aria-label="Keys" className="border-t border-edge px-4 py-3">
      <h2 className="mb-2 text-[14px] font-semibold text-second">Keys</h2>
      <dl className="grid grid-cols-2 gap-x-5 gap-y-1.5 text-[14px]">
        {rows.map(([keys, what]) => (
          <div key={what} className="flex items-center gap-2">
            <dt className="flex w-[68px] shrink-0 items-center gap-1">
              {keys.map((key, i) => (
                <span key={key} className="flex items-center gap-1">
                  {i > 0 && what.includes("layer") && <span aria-hidden="true">–</span>}
                  <kbd>{key}</kbd>
                </span>
              ))}
            </dt>
            <dd className="text-second">{what}</dd>
          </div>
        ))}
      </dl>
      <p className="mt-2 text-[14px] text-second">
        A click on a step arms it. Nothing but the take keys goes to air.
      </p>
    </section>
  );
}
