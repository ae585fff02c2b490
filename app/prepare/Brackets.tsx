import { bracketEdge } from "./bracketGroups.ts";

/** Height of a line of words in Prepare, so that brackets stand beside the lines they hold. */
export const LINE_PX = 30;
const COLUMN_PX = 18;

/** For each outfit a column of brackets, one for each slide, beside the lines it holds. */
export function BracketColumns({
  outfits,
  divisions,
  lineOfUnit,
  offsetPx = 0,
}: {
  outfits: readonly { readonly id: string; readonly name: string }[];
  /** For each outfit, the units its slides begin with. */
  divisions: readonly (readonly number[])[];
  /** For each unit, the line it stands on. */
  lineOfUnit: readonly number[];
  offsetPx?: number;
}) {
  return (
    <div aria-hidden="true" className="relative shrink-0" style={{ width: outfits.length * COLUMN_PX + 10 }}>
      {outfits.map((outfit, column) =>
        (divisions[column] ?? []).map((from, at, starts) => {
          const to = (starts[at + 1] ?? lineOfUnit.length) - 1;
          const top = lineOfUnit[from];
          const bottom = lineOfUnit[to];
          if (top === undefined || bottom === undefined) return null;
          return (
            <div
              key={`${outfit.id}-${from}`}
              title={outfit.name}
              className={`absolute w-2.5 rounded-l-[4px] border-y-2 border-l-2 ${bracketEdge(column)}`}
              style={{
                left: column * COLUMN_PX,
                top: offsetPx + top * LINE_PX + 3,
                height: (bottom - top + 1) * LINE_PX - 6,
              }}
            />
          );
        }),
      )}
    </div>
  );
}
