import { X } from "lucide-react";
import { contrastsOf } from "../../../core/design/edit/styleContrast.ts";
import { t } from "../../../core/language/t.ts";
import type { HouseStyle } from "../../../core/scene/houseStyle.ts";
import type { Sample } from "../../api/loaded.ts";
import { ContrastFigure } from "../ContrastFigure.tsx";
import { boxClass, smallButton } from "../room/properties/styles.ts";
import type { EditStyle } from "./editStyle.ts";
import { NewToken } from "./NewToken.tsx";
import { PictureColors } from "./PictureColors.tsx";
import { COLOR_WORDS, colorName } from "./styleWords.ts";

/** The colours of a style, each with how well it is read on what lies behind it. */
export function StyleColors({
  style,
  pictures,
  onEdit,
}: {
  style: HouseStyle;
  pictures: readonly Sample[];
  onEdit: EditStyle;
}) {
  const contrasts = contrastsOf(style);
  const order = Object.keys(COLOR_WORDS);
  const tokens = Object.keys(style.colors).sort((a, b) => place(order, a) - place(order, b));
  const set = (token: string, color: string) =>
    onEdit(t`Colour: ${colorName(token)}`, (from) => ({
      ...from,
      colors: { ...from.colors, [token]: color },
    }));
  return (
    <fieldset className="flex flex-col gap-2">
      <legend className="mb-1 text-[16px] font-semibold">{t`Colours`}</legend>
      {tokens.map((token) => (
        <div key={token} className="grid grid-cols-[2.5rem_minmax(0,1fr)_6.5rem_2rem] items-center gap-x-2">
          <input
            type="color"
            aria-label={t`${colorName(token)}: choose`}
            value={(style.colors[token] ?? "#000000").slice(0, 7)}
            onChange={({ target }) => set(token, `${target.value}${(style.colors[token] ?? "").slice(7)}`)}
            className="h-8 w-10 rounded-md border border-edge-strong bg-transparent"
          />
          <span className="min-w-0 text-[15px] leading-tight">{colorName(token)}</span>
          <HexBox
            label={t`${colorName(token)}: as a number`}
            value={style.colors[token] ?? ""}
            onSave={(color) => set(token, color)}
          />
          {Object.hasOwn(COLOR_WORDS, token) ? (
            <span />
          ) : (
            <button
              type="button"
              aria-label={t`Delete the colour ${token}`}
              onClick={() =>
                onEdit(t`Delete the colour ${token}`, (from) => {
                  const { [token]: _gone, ...colors } = from.colors;
                  return { ...from, colors };
                })
              }
              className={smallButton}
            >
              <X aria-hidden="true" className="size-4" />
            </button>
          )}
          {contrasts
            .filter(({ over }) => over === token)
            .map(({ under, ratio, legibility }) => (
              <span key={under} className="col-span-3 col-start-2">
                <ContrastFigure
                  on={t`on ${colorName(under).toLowerCase()}`}
                  ratio={ratio}
                  legibility={legibility}
                />
              </span>
            ))}
        </div>
      ))}
      <NewToken
        label={t`A colour of your own`}
        taken={tokens}
        onAdd={(name) =>
          onEdit(t`Add the colour ${name}`, (from) => ({
            ...from,
            colors: { ...from.colors, [name]: from.colors.accent ?? "#888888" },
          }))
        }
      />
      <PictureColors
        pictures={pictures}
        onChoose={(accent, second) =>
          onEdit(t`Colours from a picture`, (from) => ({
            ...from,
            colors: { ...from.colors, accent, ...(second !== undefined && { second }) },
          }))
        }
      />
    </fieldset>
  );
}

const place = (order: readonly string[], token: string): number =>
  order.includes(token) ? order.indexOf(token) : order.length;

function HexBox({ label, value, onSave }: { label: string; value: string; onSave: (color: string) => void }) {
  return (
    <input
      aria-label={label}
      key={value}
      defaultValue={value}
      maxLength={9}
      spellCheck={false}
      onBlur={({ target }) => {
        const typed = `#${target.value.trim().replace(/^#/, "").toLowerCase()}`;
        if (/^#[0-9a-f]{6}([0-9a-f]{2})?$/.test(typed)) {
          if (typed !== value) onSave(typed);
        } else target.value = value;
      }}
      onKeyDown={(event) => event.key === "Enter" && event.currentTarget.blur()}
      className={`${boxClass} font-mono`}
    />
  );
}
