import { t } from "../../core/language/t.ts";
import type { Template } from "../../core/scene/template.ts";
import type { ShownStyle } from "../api/loaded.ts";
import type { Drawing } from "../live/drawing.ts";
import { StyleCard } from "./StyleCard.tsx";

/** The house styles as true pictures; one is chosen. */
export function StylePicker({
  styles,
  chosen,
  used,
  templates,
  drawing,
  onChoose,
}: {
  styles: readonly ShownStyle[];
  /** Ids of styles. */
  chosen: string;
  /** The one in use, where that is worth saying. */
  used?: string;
  /** What stands for a style. */
  templates: readonly Template[];
  drawing: Drawing | undefined;
  onChoose: (styleId: string) => void;
}) {
  return (
    <ul className="grid grid-cols-2 gap-3 sm:grid-cols-5">
      {styles.map(({ id, style }) => (
        <li key={id}>
          <button
            type="button"
            aria-pressed={id === chosen}
            onClick={() => onChoose(id)}
            className={`flex size-full flex-col items-stretch rounded-lg border-2 p-1.5 text-left ${id === chosen ? "border-act bg-act-ground" : "border-edge hover:border-edge-strong"}`}
          >
            {drawing ? (
              <StyleCard style={style} templates={templates} drawing={drawing} />
            ) : (
              <span className="block aspect-video" />
            )}
            <span className="mt-1.5 flex flex-wrap items-center justify-between gap-x-2 px-1 text-[15px] font-semibold">
              {style.name}
              {id === used && (
                <span className="text-[14px] font-normal whitespace-nowrap text-act">{t`in use`}</span>
              )}
            </span>
          </button>
        </li>
      ))}
    </ul>
  );
}
