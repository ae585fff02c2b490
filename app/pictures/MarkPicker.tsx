import { Shapes } from "lucide-react";
import { Popover } from "radix-ui";
import { useState } from "react";
import { t } from "../../core/language/t.ts";
import { MARKS, type Mark } from "../../designs/marks/marks.ts";

const GROUPS: readonly { readonly group: Mark["group"]; readonly words: string }[] = [
  { group: "weather", words: t`Weather` },
  { group: "arrows", words: t`Arrows` },
  { group: "hands", words: t`Hands` },
  { group: "signs", words: t`Signs` },
];
/** Colours of the style that marks are mostly wanted in. */
const COLORS = ["words", "accent", "second", "panel"] as const;

/** Marks of our own: one press shows them all, a second takes one, in a colour of the house style. */
export function MarkPicker({
  colors,
  onChoose,
}: {
  colors: Readonly<Record<string, string>>;
  /** @param color #rrggbb, and its name in the style */
  onChoose: (mark: Mark, color: string, token: string) => void;
}) {
  const offered = COLORS.flatMap((name) => {
    const value = colors[name];
    return value === undefined ? [] : [{ name, value: value.slice(0, 7) }];
  });
  const [token, setToken] = useState<string>("words");
  const [isOpen, setOpen] = useState(false);
  const color = offered.find(({ name }) => name === token)?.value ?? "#ffffff";
  return (
    <Popover.Root open={isOpen} onOpenChange={setOpen}>
      <Popover.Trigger className="inline-flex min-h-9 items-center gap-1.5 rounded-md bg-lifted px-3 text-[15px] hover:bg-edge">
        <Shapes aria-hidden="true" className="size-4.5" /> {t`Marks`}
      </Popover.Trigger>
      <Popover.Portal>
        <Popover.Content
          align="start"
          sideOffset={6}
          collisionPadding={12}
          aria-label={t`Marks`}
          className="z-40 max-h-[70vh] w-[460px] max-w-[94vw] overflow-y-auto rounded-lg border border-edge-strong bg-raised p-3 shadow-xl"
        >
          <fieldset aria-label={t`Colour`} className="mb-2 flex items-center gap-2 text-[14px] text-second">
            {t`In`}
            {offered.map(({ name, value }) => (
              <button
                key={name}
                type="button"
                aria-label={name}
                aria-pressed={name === token}
                title={`${name}, ${value}`}
                onClick={() => setToken(name)}
                style={{ backgroundColor: value }}
                className="size-8 rounded-full border-2 border-edge-strong aria-pressed:outline-2 aria-pressed:outline-offset-2 aria-pressed:outline-act"
              />
            ))}
          </fieldset>
          {GROUPS.map(({ group, words }) => (
            <section key={group} aria-label={words} className="mb-2">
              <h3 className="mb-1 text-[14px] text-second">{words}</h3>
              <div className="grid grid-cols-8 gap-1">
                {MARKS.filter((mark) => mark.group === group).map((mark) => (
                  <button
                    key={mark.id}
                    type="button"
                    aria-label={mark.name}
                    title={mark.name}
                    onClick={() => {
                      setOpen(false);
                      onChoose(mark, color, token);
                    }}
                    className="chequered grid aspect-square place-content-center rounded-md border border-transparent p-1.5 hover:border-act"
                  >
                    <svg viewBox="0 0 100 100" aria-hidden="true" className="size-9">
                      <path d={mark.path} fill={color} />
                    </svg>
                  </button>
                ))}
              </div>
            </section>
          ))}
        </Popover.Content>
      </Popover.Portal>
    </Popover.Root>
  );
}
