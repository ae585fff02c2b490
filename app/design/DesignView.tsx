import { Upload } from "lucide-react";
import { useMemo, useState } from "react";
import { Link, useRevalidator } from "react-router";
import { missingIn } from "../../core/design/edit/fields.ts";
import { smallestSize } from "../../core/findings/kinds/smallestSize.ts";
import { t } from "../../core/language/t.ts";
import type { HouseStyle } from "../../core/scene/houseStyle.ts";
import { type Template, templateKey } from "../../core/scene/template.ts";
import type { DeskOutfit } from "../../core/wire/deskDesigns.ts";
import { call } from "../api/call.ts";
import type { DesignData, Samples, ShownWardrobe } from "../api/loaded.ts";
import { useDesk, useDeskStore, useDrawing } from "../desk/deskContext.ts";
import { NoticeBar } from "../desk/NoticeBar.tsx";
import { useActor } from "../desk/useActor.ts";
import { useDropped } from "../desk/useDropped.ts";
import type { Drawing } from "../live/drawing.ts";
import { PagePicture } from "../pictures/PagePicture.tsx";
import { RESTING_MS, useLaidOut } from "../pictures/useLaidOut.ts";
import { DeleteDesign } from "./DeleteDesign.tsx";
import { FontRoles } from "./FontRoles.tsx";
import { NewTemplate } from "./NewTemplate.tsx";
import { OutfitMenu } from "./OutfitMenu.tsx";
import { StylePicker } from "./StylePicker.tsx";
import { TemplateFile } from "./TemplateFile.tsx";
import { bringDesign, packAddress, templateFile } from "./templateFiles.ts";
import { useOverBackdrop } from "./useOverBackdrop.ts";

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
  styles,
  wornStyleId,
  fonts,
  samples,
  wardrobes,
  outfits,
}: DesignData & { outfits: readonly DeskOutfit[] }) {
  const drawing = useDrawing();
  const store = useDeskStore();
  const { revalidate } = useRevalidator();
  const actor = useActor(store.windowId);
  const [wantedStyle, setSeen] = useState(wornStyleId);
  const [outfitId, setOutfitId] = useState(wardrobes[0]?.outfitId ?? "");
  /** A kind of page that is looked at in every outfit; null: all of one outfit. */
  const [wantedKind, setKind] = useState<string | null>(null);
  const { fieldSets } = useDesk("fieldSets");
  // What was looked at may be deleted meanwhile, here or at another desk.
  const seen = styles.some(({ id }) => id === wantedStyle) ? wantedStyle : wornStyleId;
  const kind = wantedKind !== null && fieldSets.has(wantedKind) ? wantedKind : null;
  const find = (id: string) => styles.find((each) => each.id === id)?.style;
  const style = find(seen) ?? styles[0]?.style;
  const faces = find(wornStyleId)?.fonts ?? {};
  const wardrobe = wardrobes.find((candidate) => candidate.outfitId === outfitId) ?? wardrobes[0];
  const chosenOutfit = outfits.find(({ id }) => id === wardrobe?.outfitId);

  const wear = async (styleId: string, roles: Readonly<Record<string, string>> = {}) => {
    const answer = await call("/wear-style", { styleId, fonts: roles, actor });
    if ("problem" in answer) store.say("trouble", answer.problem.sentence);
    else
      store.say(
        "word",
        t`“${answer.value.worn}” is used from the next take on. What is on air stays as it is.`,
      );
    await revalidate();
  };
  /** The roles as they are, with one in another font. */
  const setIn = (role: string, wanted: string) => wear(wornStyleId, { [role]: wanted });

  const bring = async (file: File, replaced: Template | null = null, into = outfitId) => {
    const brought = await bringDesign(into, file, actor, replaced && templateKey(replaced));
    if ("problem" in brought) store.say("trouble", brought.problem.sentence);
    else {
      const { kind: what, name, problems } = brought.value;
      store.say(
        problems.length > 0 ? "trouble" : "word",
        [
          replaced
            ? t`“${name}” is in the place of “${replaced.name}” from the next take on.`
            : what === "style"
              ? t`The house style “${name}” is here. The show uses it when it is told to.`
              : t`“${name}” can be chosen on pages from now on.`,
          ...problems,
        ].join(" "),
      );
    }
    await revalidate();
  };

  const change = async (act: "remove" | "wear", template: Template, of: string) => {
    const { name, fieldSet } = template;
    const answer = await call("/offered-template", {
      kind: act,
      outfitId: of,
      fieldSet,
      key: templateKey(template),
      actor,
    });
    if ("problem" in answer) store.say("trouble", answer.problem.sentence);
    else
      store.say(
        "word",
        act === "remove"
          ? t`“${name}” is deleted. Pages that used it use the outfit’s own from their next take.`
          : t`“${name}” is the outfit’s default from the next take on. What is on air stays as it is.`,
      );
    await revalidate();
  };

  useDropped("design", (files) => {
    void (async () => {
      for (const file of files) await bring(file);
    })();
  });

  if (!style || !wardrobe) return null;
  return (
    <div className="relative flex min-h-0 flex-1 flex-col">
      <section aria-label={t`House styles`} className="shrink-0 border-b border-edge bg-raised px-5 py-3">
        <StylePicker
          styles={styles}
          chosen={seen}
          used={wornStyleId}
          templates={exampleOf(wardrobes)}
          drawing={drawing}
          onChoose={setSeen}
        />
      </section>
      <section aria-label={t`Fonts`} className="shrink-0 border-b border-edge px-5 py-2.5">
        <FontRoles faces={faces} fonts={fonts} onChoose={(role, wanted) => void setIn(role, wanted)} />
      </section>
      <section
        aria-label={t`Outfit and style`}
        className="flex shrink-0 flex-wrap items-center gap-2 border-b border-edge px-5 py-2.5"
      >
        <select
          aria-label={t`Look through`}
          value={kind ?? ""}
          onChange={({ target }) => setKind(target.value || null)}
          className="min-h-9 rounded-md border border-edge-strong bg-ground px-2 text-[15px]"
        >
          <option value="">{t`All pages of one outfit`}</option>
          <optgroup label={t`One kind of page, in every outfit`}>
            {[...fieldSets.values()].map((set) => (
              <option key={set.id} value={set.id}>
                {set.name}
              </option>
            ))}
          </optgroup>
        </select>
        {kind !== null && (
          <DeleteDesign
            of={{ kind: "fieldSet", id: kind }}
            name={fieldSets.get(kind)?.name ?? kind}
            actor={actor}
            onChanged={() => void revalidate()}
          />
        )}
        {kind === null && (
          <>
            <div role="tablist" aria-label={t`Outfits`} className="flex gap-1.5">
              {wardrobes.map((candidate) => (
                <button
                  key={candidate.outfitId}
                  type="button"
                  role="tab"
                  aria-selected={candidate === wardrobe}
                  onClick={() => setOutfitId(candidate.outfitId)}
                  className={`min-h-9 rounded-full px-4 text-[15px] ${candidate === wardrobe ? "bg-paper font-semibold text-ground" : "bg-lifted text-second hover:text-paper"}`}
                >
                  {outfits.find(({ id }) => id === candidate.outfitId)?.name}
                </button>
              ))}
            </div>
            {chosenOutfit && (
              <OutfitMenu
                outfit={chosenOutfit}
                actor={actor}
                onMade={(id) => {
                  setOutfitId(id);
                  void revalidate();
                }}
              />
            )}
          </>
        )}
        <div className="ml-auto flex flex-wrap gap-2">
          <NewTemplate outfitId={wardrobe.outfitId} actor={actor} />
          <TemplateFile
            onChosen={(file) => void bring(file)}
            className="inline-flex min-h-10 cursor-pointer items-center gap-2 rounded-lg bg-lifted px-4 text-[15px] focus-within:outline-2 focus-within:outline-offset-2 focus-within:outline-act hover:bg-edge"
          >
            <Upload aria-hidden="true" className="size-4.5" />
            {t`Import a file`}
          </TemplateFile>
          <Link
            to={`/design/style/${seen}`}
            className="inline-flex min-h-10 items-center rounded-lg bg-lifted px-4 text-[15px] hover:bg-edge"
          >
            {t`Change “${style?.name}”`}
          </Link>
          <DeleteDesign
            of={{ kind: "style", id: seen }}
            name={style.name}
            actor={actor}
            onChanged={() => void revalidate()}
          />
          <button
            type="button"
            disabled={seen === wornStyleId}
            onClick={() => void wear(seen)}
            className="min-h-10 rounded-lg bg-act px-4 text-[15px] font-bold text-on-bright hover:brightness-110 disabled:bg-lifted disabled:font-normal disabled:text-second"
          >
            {seen === wornStyleId ? t`This style is in use` : t`Use “${style?.name}”`}
          </button>
        </div>
      </section>
      {/* biome-ignore lint/a11y/noNoninteractiveTabindex: what scrolls must be reached by keys */}
      <main aria-label={t`Templates`} className="min-h-0 flex-1 overflow-y-auto px-5 py-4" tabIndex={0}>
        {drawing &&
          (kind === null ? [wardrobe] : wardrobes).map((each) => {
            const shown =
              kind === null
                ? each
                : { ...each, templates: each.templates.filter(({ template }) => template.fieldSet === kind) };
            return (
              <section key={each.outfitId} className="mb-6">
                {kind !== null && (
                  <h2 className="mb-2 text-[16px] font-semibold">
                    {outfits.find(({ id }) => id === each.outfitId)?.name}
                  </h2>
                )}
                {shown.templates.length === 0 ? (
                  <p className="text-[15px] text-second">
                    {t`It has no template for these pages, so its screens show nothing of them.`}
                  </p>
                ) : (
                  <TemplateGrid
                    wardrobe={shown}
                    style={style}
                    drawing={drawing}
                    samples={samples}
                    onChange={(act, template) => void change(act, template, each.outfitId)}
                    onReplace={(template, file) => void bring(file, template, each.outfitId)}
                  />
                )}
              </section>
            );
          })}
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
  const { fieldSets } = useDesk("fieldSets");
  const list = useMemo(() => templates.map(({ template }) => template), [templates]);
  const pages = useLaidOut(list, style, drawing, fieldSets, samples);
  const { layers, ground } = useOverBackdrop(list, pages);
  const canvas = list[0]?.canvas;
  const shape = canvas ? canvas.widthPx / canvas.heightPx : 1.8;
  const width = shape < 1 ? MIN_WIDTH.tall : shape > 3 ? MIN_WIDTH.thin : MIN_WIDTH.wide;
  return (
    <ul className="grid gap-x-4 gap-y-5" style={{ gridTemplateColumns: `repeat(auto-fill, ${width})` }}>
      {list.map((template, i) => {
        const page = pages[i];
        const shown = layers[i];
        if (!page || !shown) return null;
        const findings = page.findings.filter(({ code }) => code !== smallestSize.code);
        return (
          <li key={`${outfitId}/${template.name}`}>
            <PagePicture
              pages={shown}
              drawing={drawing}
              atMs={RESTING_MS}
              label={template.name}
              ground={ground}
            />
            <p className="mt-1.5 text-[15px] font-semibold">{template.name}</p>
            <p className="text-[14px] text-second">
              {fieldSets.get(template.fieldSet)?.name.toLowerCase()}
              {!templates[i]?.isWorn && templates[i]?.isPublished && t`, to choose on a page`}
              {templates[i]?.isDraft && (
                <span className="text-attention">
                  {templates[i]?.isPublished ? t` · has a draft` : t` · a draft, not in use yet`}
                </span>
              )}
            </p>
            <p className="flex flex-wrap gap-x-4">
              <Link
                to={`/design/template/${templates[i]?.id}`}
                className="inline-flex min-h-6 items-center text-[14px] text-act hover:underline"
              >
                {t`open`}
                <span className="sr-only">: {template.name}</span>
              </Link>
              <a
                href={templateFile(template).address}
                download={templateFile(template).name}
                className="inline-flex min-h-6 items-center text-[14px] text-act hover:underline"
              >
                {t`export`}
                <span className="sr-only">: {template.name}</span>
              </a>
              <a
                href={packAddress("template", templates[i]?.id ?? "")}
                download
                title={t`A ZIP with its pictures, clips, fonts and fields`}
                className="inline-flex min-h-6 items-center text-[14px] text-act hover:underline"
              >
                {t`with its files`}
                <span className="sr-only">: {template.name}</span>
              </a>
              <TemplateFile
                onChosen={(file) => onReplace(template, file)}
                className="inline-flex min-h-6 cursor-pointer items-center text-[14px] text-second focus-within:outline-2 focus-within:outline-act hover:text-paper hover:underline"
              >
                {t`replace`}
                <span className="sr-only">: {template.name}</span>
              </TemplateFile>
              {!templates[i]?.isWorn && templates[i]?.isPublished && (
                <button
                  type="button"
                  onClick={() => onChange("wear", template)}
                  className="inline-flex min-h-6 items-center text-[14px] text-second hover:text-paper hover:underline"
                >
                  {t`use by default`}
                  <span className="sr-only">: {template.name}</span>
                </button>
              )}
              {templates.filter((other) => other.template.fieldSet === template.fieldSet).length > 1 && (
                <button
                  type="button"
                  onClick={() => onChange("remove", template)}
                  className="inline-flex min-h-6 items-center text-[14px] text-second hover:text-paper hover:underline"
                >
                  {t`delete`}
                  <span className="sr-only">: {template.name}</span>
                </button>
              )}
            </p>
            {missingIn(template, fieldSets.get(template.fieldSet), list).map(({ name, label }) => (
              <p key={name} className="text-[14px] text-attention">
                {t`Does not show “${label}”.`}{" "}
                <Link
                  to={`/design/template/${templates[i]?.id}?show=${encodeURIComponent(name)}`}
                  className="text-act hover:underline"
                >
                  {t`Add an object for it`}
                  <span className="sr-only"> {t`in ${template.name}`}</span>
                </Link>
              </p>
            ))}
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
