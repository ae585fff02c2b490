import { X } from "lucide-react";
import { useMemo } from "react";
import { t } from "../../../core/language/t.ts";
import { type HouseStyle, shadowSchema } from "../../../core/scene/houseStyle.ts";
import { type Shape, shapeOf } from "../../../core/scene/schemaShape.ts";
import { type Known, KnownContext, NOTHING_KNOWN } from "../room/properties/known.ts";
import { ShapeField } from "../room/properties/ShapeField.tsx";
import { smallButton } from "../room/properties/styles.ts";
import type { EditStyle } from "./editStyle.ts";
import { NewToken } from "./NewToken.tsx";
import { colorName } from "./styleWords.ts";

type Shadows = NonNullable<HouseStyle["shadows"]>;

/** Shadows that templates ask for by a name: up to three laid over one another. */
export function StyleShadows({ style, onEdit }: { style: HouseStyle; onEdit: EditStyle }) {
  const shape = useMemo<Shape>(() => ({ kind: "list", item: shapeOf(shadowSchema), least: 0, most: 3 }), []);
  const known = useMemo<Known>(
    () => ({
      ...NOTHING_KNOWN,
      color: Object.keys(style.colors).map((name) => ({ name, title: colorName(name) })),
      measure: Object.keys(style.numbers).map((name) => ({ name, title: name })),
      colors: style.colors,
    }),
    [style.colors, style.numbers],
  );
  const all = style.shadows ?? {};
  const set = (label: string, change: (shadows: Shadows) => Shadows) =>
    onEdit(label, (from) => ({ ...from, shadows: change(from.shadows ?? {}) }));
  return (
    <KnownContext value={known}>
      <fieldset className="flex flex-col gap-2">
        <legend className="mb-1 text-[16px] font-semibold">{t`Shadows`}</legend>
        {Object.entries(all).map(([name, shadows]) => (
          <div key={name} className="rounded-md border border-edge p-2">
            <div className="mb-1 flex items-center justify-between text-[15px]">
              {name}
              <button
                type="button"
                aria-label={t`Delete the shadow ${name}`}
                onClick={() => set(t`Delete the shadow ${name}`, ({ [name]: _gone, ...others }) => others)}
                className={smallButton}
              >
                <X aria-hidden="true" className="size-4" />
              </button>
            </div>
            <ShapeField
              shape={shape}
              value={shadows}
              title={name}
              onChange={(next) =>
                set(t`Shadow: ${name}`, (before) => ({ ...before, [name]: next as Shadows[string] }))
              }
            />
          </div>
        ))}
        <NewToken
          label={t`A shadow of your own`}
          taken={Object.keys(all)}
          onAdd={(name) =>
            set(t`Add the shadow ${name}`, (before) => ({
              ...before,
              [name]: [{ color: { token: "shade", alpha: 0.6 }, blurPx: 24, offsetXPx: 0, offsetYPx: 8 }],
            }))
          }
        />
      </fieldset>
    </KnownContext>
  );
}
