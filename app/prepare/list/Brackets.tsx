import { useRef, useState } from "react";
import { t } from "../../../core/language/t.ts";
import type { ManualBreak } from "../../../core/words/manualBreaks.ts";
import { type BracketGroup, bracketEdge } from "../../pictures/bracketGroups.ts";

/** Height of a line of words in Prepare, so that brackets stand beside the lines they hold. */
export const LINE_PX = 30;
export const COLUMN_PX = 18;

/** A slide parted or joined before a unit, for the outfits of one column. */
export type OnBreak = (kind: ManualBreak["kind"], unit: number, group: BracketGroup) => void;

/**
 * For each outfit a column of brackets, one for each slide, beside the lines it holds. A press between two lines
 * parts a slide there or joins two; an end that is dragged moves.
 */
export function BracketColumns({
  groups,
  divisions,
  lineOfUnit,
  offsetPx = 0,
  onBreak,
}: {
  groups: readonly BracketGroup[];
  /** For each outfit, the units its slides begin with. */
  divisions: readonly (readonly number[])[];
  /** For each unit, the line it stands on. */
  lineOfUnit: readonly number[];
  offsetPx?: number;
  onBreak: OnBreak;
}) {
  const [dragged, setDragged] = useState<{ column: number; from: number; to: number } | null>(null);
  const startY = useRef(0);
  const topOf = (unit: number) => offsetPx + (lineOfUnit[unit] ?? 0) * LINE_PX;
  return (
    <div aria-hidden="true" className="relative shrink-0" style={{ width: groups.length * COLUMN_PX + 10 }}>
      {groups.map((group, column) => {
        const starts = divisions[column] ?? [];
        const shown = dragged?.column === column ? moved(starts, dragged.from, dragged.to) : starts;
        return (
          <div key={group.id}>
            {shown.map((from, at) => {
              const to = (shown[at + 1] ?? lineOfUnit.length) - 1;
              const first = lineOfUnit[from];
              const last = lineOfUnit[to];
              if (first === undefined || last === undefined) return null;
              return (
                <div
                  key={`${group.id}-${from}`}
                  title={group.name}
                  className={`pointer-events-none absolute w-2.5 rounded-l-[4px] border-y-2 border-l-2 ${bracketEdge(column)}`}
                  style={{
                    left: column * COLUMN_PX,
                    top: topOf(from) + 3,
                    height: (last - first + 1) * LINE_PX - 6,
                  }}
                />
              );
            })}
            {lineOfUnit.map((line, unit) => {
              if (unit === 0 || line === lineOfUnit[unit - 1]) return null;
              const begins = starts.includes(unit);
              return (
                <div
                  key={`${group.id}-manual-${line}`}
                  title={`${begins ? t`Join the slides here, or drag` : t`Part the slide here`}: ${group.name}`}
                  className={`absolute z-10 h-3.5 w-4.5 rounded-sm hover:bg-act/40 ${begins ? "cursor-row-resize" : "cursor-pointer"}`}
                  style={{ left: column * COLUMN_PX - 3, top: topOf(unit) - 7 }}
                  onPointerDown={(event) => {
                    event.preventDefault();
                    event.currentTarget.setPointerCapture(event.pointerId);
                    startY.current = event.clientY;
                    setDragged({ column, from: unit, to: unit });
                  }}
                  onPointerMove={(event) => {
                    if (!dragged || !begins) return;
                    const to = nearestUnit(lineOfUnit, line + (event.clientY - startY.current) / LINE_PX);
                    if (to !== dragged.to) setDragged({ ...dragged, to });
                  }}
                  onPointerCancel={() => setDragged(null)}
                  onPointerUp={() => {
                    if (!dragged) return;
                    setDragged(null);
                    if (dragged.to === unit) onBreak(begins ? "join" : "split", unit, group);
                    else {
                      onBreak("join", unit, group);
                      if (!starts.includes(dragged.to)) onBreak("split", dragged.to, group);
                    }
                  }}
                />
              );
            })}
          </div>
        );
      })}
    </div>
  );
}

function moved(starts: readonly number[], from: number, to: number): number[] {
  return [...new Set(starts.map((start) => (start === from ? to : start)))].sort((a, b) => a - b);
}

/** The unit that begins a line nearest to a height in lines. */
function nearestUnit(lineOfUnit: readonly number[], line: number): number {
  let best = 1;
  for (let unit = 1; unit < lineOfUnit.length; unit++)
    if (Math.abs((lineOfUnit[unit] ?? 0) - line) < Math.abs((lineOfUnit[best] ?? 0) - line)) best = unit;
  return best;
}
