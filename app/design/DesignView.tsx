import { Upload } from "lucide-react";
import { useMemo, useState } from "react";
import { useRevalidator } from "react-router";
import { smallestSize } from "../../core/findings/kinds/smallestSize.ts";
import type { HouseStyle } from "../../core/scene/houseStyle.ts";
import { type Template, templateKey } from "../../core/scene/template.ts";
import { FIELD_SETS } from "../../designs/fieldSets.ts";
import { HOUSE_STYLES } from "../../designs/houseStyles.ts";
import { nameOfTypeface } from "../../designs/typefaces.ts";
import { call } from "../api/call.ts";
import type { DesignData, Samples, ShownWardrobe } from "../api/loaded.ts";
import { useDeskStore, useDrawing } from "../desk/deskContext.ts";
import { NoticeBar } from "../desk/NoticeBar.tsx";
import type { DeskOutfit } from "../desk/outfit.ts";
import type { Drawing } from "../live/drawing.ts";
import { PagePicture } from "../pictures/PagePicture.tsx";
import standIn from "../pictures/standInPicture.svg";
import { RESTING_MS, useLaidOut } from "../pictures/useLaidOut.ts";
import { FontRoles } from "./FontRoles.tsx";
import { StylePicker } from "./StylePicker.tsx";
import { TemplateFile } from "./TemplateFile.tsx";
import { bringTemplate, templateFile } from "./templateFiles.ts";

const examples = new WeakMap<readonly ShownWardrobe[], readonly Template[]>();

/** What stands for a style: a title over the backdrop of the first outfit. The same list for the same wardrobes. */
function exampleOf(wardrobes: readonly ShownWardrobe[]): readonly Template[] {
  const known = examples.get(wardrobes);
  if (known) return known;
  const all = wardrobes[0]?.templates ?? [];
  const found = ["backdrop", "title"].flatMap(
    (set) => all.find(({ template }) => template.fieldSet === set)?.template ?? [],
  );
  examples.set(wardrobes, found);
  return found;
}

/** The house styles, and every template that is worn, as true pictures with sample words. */
export function DesignView({
  worn,
  faces,
  fonts,
  samples,
  wardrobes,
  outfits,
}: DesignData & { outfits: readonly DeskOutfit[] }) {
  const drawing = useDrawing();
  const store = useDeskStore();
  const { revalidate } = useRevalidator();
  const [seen, setSeen] = useState(worn);
  const [outfitId, setOutfitId] = useState(wardrobes[0]?.outfitId ?? "");
  const plain = HOUSE_STYLES.find(({ name }) => name === seen) ?? HOUSE_STYLES[0];
  const style = useMemo(
    () => plain && (plain.name === worn ? { ...plain, fonts: faces } : plain),
    [plain, worn, faces],
  );
  const wardrobe = wardrobes.find((candidate) => candidate.outfitId === outfitId);

  const wear = async (name: string, roles: Readonly<Record<string, string>> = {}) => {
    const answer = await call("/wear-style", { name, fonts: roles });
    if ("problem" in answer) store.say("trouble", answer.problem.sentence);
    else store.say("word", `“${name}” is used from the next take on. What is on air stays as it is.`);
    await revalidate();
  };
  /** The roles as they are, with one in another font. */
  const setIn = (role: string, wanted: string) =>
    wear(worn, {
      ...Object.fromEntries(
        Object.entries(faces).flatMap(([each, face]) => {
          const name = nameOfTypeface(face, fonts);
          return name === undefined ? [] : [[each, name] as const];
        }),
      ),
      [role]: wanted,
    });

  const bring = async (file: File, replaced: Template | null = null) => {
    const brought = await bringTemplate(outfitId, file, replaced && templateKey(replaced));
    if ("problem" in brought) store.say("trouble", brought.problem.sentence);
    else {
      const { name, problems } = brought.value;
      store.say(
        problems.length > 0 ? "trouble" : "word",
        [
          replaced
            ? `“${name}” is in the place of “${replaced.name}” from the next take on.`
            : `“${name}” can be chosen on pages from now on.`,
          ...problems,
        ].join(" "),
      );
    }
    await revalidate();
  };

  const change = async (kind: "remove" | "wear", template: Template) => {
    const { name, fieldSet } = template;
    const answer = await call("/offered-template", { kind, outfitId, fieldSet, key: templateKey(template) });
    if ("problem" in answer) store.say("trouble", answer.problem.sentence);
    else
      store.say(
        "word",
        kind === "remove"
          ? `“${name}” is deleted. Pages that used it use the outfit’s own from their next take.`
          : `“${name}” is the outfit’s default from the next take on. What is on air stays as it is.`,
      );
    await revalidate();
  };

  if (!style || !wardrobe) return null;
  return (
    <div className="relative flex min-h-0 flex-1 flex-col">
      <section aria-label="House styles" className="shrink-0 border-b border-edge bg-raised px-5 py-3">
        <StylePicker
          chosen={seen}
          used={worn}
          templates={exampleOf(wardrobes)}
          drawing={drawing}
          onChoose={setSeen}
        />
      </section>
      <section aria-label="Fonts" className="shrink-0 border-b border-edge px-5 py-2.5">
        <FontRoles faces={faces} fonts={fonts} onChoose={(role, wanted) => void setIn(role, wanted)} />
      </section>
      <section
        aria-label="Outfit and style"
        className="flex shrink-0 flex-wrap items-center gap-2 border-b border-edge px-5 py-2.5"
      >
        <div role="tablist" aria-label="Outfits" className="flex gap-1.5">
          {wardrobes.map((candidate) => (
            <button
              key={candidate.outfitId}
              type="button"
              role="tab"
              aria-selected={candidate.outfitId === outfitId}
              onClick={() => setOutfitId(candidate.outfitId)}
              className={`min-h-9 rounded-full px-4 text-[15px] ${candidate.outfitId === outfitId ? "bg-paper font-semibold text-ground" : "bg-lifted text-second hover:text-paper"}`}
            >
              {outfits.find(({ id }) => id === candidate.outfitId)?.name}
            </button>
          ))}
        </div>
        <div className="ml-auto flex flex-wrap gap-2">
          <TemplateFile
            onChosen={(file) => void bring(file)}
            className="inline-flex min-h-10 cursor-pointer items-center gap-2 rounded-lg bg-lifted px-4 text-[15px] focus-within:outline-2 focus-within:outline-offset-2 focus-within:outline-act hover:bg-edge"
          >
            <Upload aria-hidden="true" className="size-4.5" />
            Import a template
          </TemplateFile>
          <button
            type="button"
            disabled={seen === worn}
            onClick={() => void wear(seen)}
            className="min-h-10 rounded-lg bg-act px-4 text-[15px] font-bold text-on-bright hover:brightness-110 disabled:bg-lifted disabled:font-normal disabled:text-second"
          >
            {seen === worn ? "This style is in use" : `Use “${seen}”`}
          </button>
        </div>
      </section>
      {/* biome-ignore lint/a11y/noNoninteractiveTabindex: what scrolls must be reached by keys */}
      <main aria-label="Templates" className="min-h-0 flex-1 overflow-y-auto px-5 py-4" tabIndex={0}>
        {drawing && (
          <TemplateGrid
            wardrobe={wardrobe}
            style={style}
            drawing={drawing}
            samples={samples}
            onChange={(kind, template) => void change(kind, template)}
            onReplace={(template, file) => void bring(file, template)}
          />
        )}
      </main>
      <NoticeBar />
    </div>
  );
}

const MIN_WIDTH = { wide: "minmax(290px, 1fr)", tall: "minmax(170px, 1fr)", thin: "minmax(420px, 1fr)" };

function TemplateGrid({
  wardrobe,
  style,
  drawing,
  samples,
  onChange,
  onReplace,
}: {
  wardrobe: ShownWardrobe;
  style: HouseStyle;
  drawing: Drawing;
  samples: Samples;
  onChange: (kind: "remove" | "wear", template: Template) => void;
  onReplace: (template: Template, file: File) => void;
}) {
  const { outfitId, templates } = wardrobe;
  const list = useMemo(() => templates.map(({ template }) => template), [templates]);
  const pages = useLaidOut(list, style, drawing, samples);
  const at = list.findIndex(({ fieldSet }) => fieldSet === "backdrop");
  const canvas = list[0]?.canvas;
  const shape = canvas ? canvas.widthPx / canvas.heightPx : 1.8;
  const width = shape < 1 ? MIN_WIDTH.tall : shape > 3 ? MIN_WIDTH.thin : MIN_WIDTH.wide;
  return (
    <ul className="grid gap-x-4 gap-y-5" style={{ gridTemplateColumns: `repeat(auto-fill, ${width})` }}>
      {list.map((template, i) => {
        const page = pages[i];
        if (!page) return null;
        const beneath = at >= 0 && at !== i ? pages[at] : undefined;
        const findings = page.findings.filter(({ code }) => code !== smallestSize.code);
        return (
          <li key={`${outfitId}/${template.name}`}>
            <PagePicture
              pages={beneath ? [beneath, page] : [page]}
              drawing={drawing}
              atMs={RESTING_MS}
              label={template.name}
              ground={at >= 0 ? "#000" : `#3a3330 url(${standIn}) center / cover`}
            />
            <p className="mt-1.5 text-[15px] font-semibold">{template.name}</p>
            <p className="text-[14px] text-second">
              {FIELD_SETS.find(({ id }) => id === template.fieldSet)?.name.toLowerCase()}
              {!templates[i]?.isWorn && ", to choose on a page"}
            </p>
            <p className="flex flex-wrap gap-x-4">
              <a
                href={templateFile(template).address}
                download={templateFile(template).name}
                className="inline-flex min-h-6 items-center text-[14px] text-act hover:underline"
              >
                export<span className="sr-only">: {template.name}</span>
              </a>
              <TemplateFile
                onChosen={(file) => onReplace(template, file)}
                className="inline-flex min-h-6 cursor-pointer items-center text-[14px] text-second focus-within:outline-2 focus-within:outline-act hover:text-paper hover:underline"
              >
                replace<span className="sr-only">: {template.name}</span>
              </TemplateFile>
              {!templates[i]?.isWorn && (
                <button
                  type="button"
                  onClick={() => onChange("wear", template)}
                  className="inline-flex min-h-6 items-center text-[14px] text-second hover:text-paper hover:underline"
                >
                  use by default<span className="sr-only">: {template.name}</span>
                </button>
              )}
              {templates.filter((other) => other.template.fieldSet === template.fieldSet).length > 1 && (
                <button
                  type="button"
                  onClick={() => onChange("remove", template)}
                  className="inline-flex min-h-6 items-center text-[14px] text-second hover:text-paper hover:underline"
                >
                  delete<span className="sr-only">: {template.name}</span>
                </button>
              )}
            </p>
            {findings.map((finding) => (
              <p key={JSON.stringify(finding)} className="text-[14px] text-attention">
                {finding.sentence}
              </p>
            ))}
          </li>
        );
      })}
    </ul>
  );
}
