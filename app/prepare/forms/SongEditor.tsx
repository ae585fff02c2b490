import { Tabs } from "radix-ui";
import { useEffect, useMemo, useRef } from "react";
import { t } from "../../../core/language/t.ts";
import type { Anchor } from "../../../core/rundown/anchor.ts";
import type { PageContent } from "../../../core/rundown/content.ts";
import type { SongDoc } from "../../../core/rundown/cueDoc.ts";
import type { DeskOutfit } from "../../../core/wire/deskDesigns.ts";
import { textHasChords } from "../../../core/words/chordPro.ts";
import { breakAt, withBreak } from "../../../core/words/manualBreaks.ts";
import { useDeskStore } from "../../desk/deskContext.ts";
import { useLocale } from "../../desk/useLocale.ts";
import { CleanedLine } from "../../ui/CleanedLine.tsx";
import { fieldClass, Labelled } from "../../ui/Labelled.tsx";
import { useCleanPaste } from "../../ui/useCleanPaste.ts";
import { BracketColumns, COLUMN_PX, LINE_PX, type OnBreak } from "../list/Brackets.tsx";
import { CreditsTab } from "./CreditsTab.tsx";
import { type DividedSection, divideSong, linesPerSlide } from "./dividedSong.ts";
import { editorId } from "./editorId.ts";
import { guardPaste } from "./guardPaste.ts";
import { OrderRow } from "./OrderRow.tsx";
import { SecondLanguageTab } from "./SecondLanguageTab.tsx";

const PADDING_PX = 8;
const NO_ORDER = { items: [], unknown: [] } as const;
const MOST_LINES_PER_SLIDE = 20;
const tabClass =
  "min-h-9 rounded-t-md border-b-2 border-transparent px-3 text-[15px] text-second data-[state=active]:border-act data-[state=active]:text-paper hover:text-paper";

/** A song as plain text, with brackets beside the lines that show how each outfit divides them. */
export function SongEditor({
  id: songId,
  doc,
  outfits,
  compiled,
  inLibrary = false,
  caretAt,
  onType,
  onAnchor,
}: {
  id: string;
  doc: SongDoc;
  outfits: readonly DeskOutfit[];
  /** What the server made of these very words; undefined while they are typed. */
  compiled: PageContent | undefined;
  /** In the library there is no event yet: how it is shown is said there. */
  inLibrary?: boolean;
  /** The step whose line the caret begins at. */
  caretAt?: Anchor;
  onType: (doc: SongDoc) => void;
  onAnchor: (anchor: Anchor | null) => void;
}) {
  const id = editorId(songId);
  const store = useDeskStore();
  const { language } = useLocale();
  const divided = useMemo(
    () => divideSong(doc, outfits, compiled, language),
    [doc, outfits, compiled, language],
  );
  const sections = divided?.sections ?? [];
  const groups = divided?.groups ?? [];
  const latest = useRef(doc);
  latest.current = doc;
  const paste = useCleanPaste(
    doc.text,
    (text) => onType({ ...latest.current, text }),
    () => ["chords"],
  );
  const words = useRef<HTMLTextAreaElement>(null);
  const isPlaced = useRef(false);
  useEffect(() => {
    const element = words.current;
    const section = sections.find(({ section: { key } }) => key === caretAt?.occurrence);
    const line = caretAt && section?.lineOfUnit[caretAt.unit];
    if (!element || line === undefined || isPlaced.current) return;
    isPlaced.current = true;
    const at = element.value.split("\n").slice(0, line).join("\n").length + (line > 0 ? 1 : 0);
    element.focus();
    element.setSelectionRange(at, at);
    element.scrollIntoView({ block: "nearest" });
  }, [caretAt, sections]);
  const hasChords = useMemo(() => textHasChords(doc.text), [doc.text]);

  const placeOf = (element: HTMLTextAreaElement) => {
    const line = element.value.slice(0, element.selectionStart).split("\n").length - 1;
    for (const section of sections) {
      const unit = section.lineOfUnit.indexOf(line);
      if (unit >= 0) return { section, unit };
    }
    return undefined;
  };
  const follow = (element: HTMLTextAreaElement) => {
    const place = placeOf(element);
    if (place) onAnchor({ occurrence: place.section.section.key, unit: place.unit });
  };
  const breakIn =
    (section: DividedSection): OnBreak =>
    (kind, unit, group) => {
      const manual = breakAt(
        kind,
        section.section.key,
        section.units,
        unit,
        group.outfits.map((outfit) => outfit.id),
      );
      latest.current = { ...latest.current, breaks: withBreak(latest.current.breaks, manual) };
      onType(latest.current);
    };
  /** Parts or joins the slides of every outfit before the line the caret is on. */
  const breakHere = (element: HTMLTextAreaElement) => {
    const place = placeOf(element);
    if (!place || place.unit === 0) return;
    const begins = place.section.divisions.some((starts) => starts.includes(place.unit));
    for (const group of groups) breakIn(place.section)(begins ? "join" : "split", place.unit, group);
  };

  return (
    <>
      <OrderRow
        id={`${id}-order`}
        typed={doc.order}
        order={divided?.order ?? NO_ORDER}
        sections={divided?.song.sections ?? []}
        onType={(order) => onType({ ...doc, order })}
      >
        <Labelled id={`${id}-title`} label={t`Title`}>
          <input
            id={`${id}-title`}
            value={doc.title}
            maxLength={200}
            placeholder={t`from the first line`}
            onChange={(event) => onType({ ...doc, title: event.target.value })}
            className={`${fieldClass} text-[16px]`}
          />
        </Labelled>
      </OrderRow>
      <Tabs.Root defaultValue="words">
        <Tabs.List aria-label={t`Parts of the song`} className="mb-3 flex gap-1 border-b border-edge">
          <Tabs.Trigger value="words" className={tabClass}>
            {t`Words`}
          </Tabs.Trigger>
          <Tabs.Trigger value="second" className={tabClass}>
            {doc.second ? t`Second language (${doc.second.language || "?"})` : t`Second language`}
          </Tabs.Trigger>
          <Tabs.Trigger value="credits" className={tabClass}>
            {t`Credits`}
          </Tabs.Trigger>
        </Tabs.List>
        <Tabs.Content value="words" className="flex flex-col gap-3">
          <p className="flex flex-wrap items-end gap-x-4 gap-y-2 text-[14px] text-second">
            <span className="w-16 leading-tight">{t`Lines on a slide`}</span>
            {outfits.map((outfit) => (
              <label key={outfit.id} className="flex flex-col gap-1">
                {outfit.name}
                <input
                  type="number"
                  min={1}
                  max={MOST_LINES_PER_SLIDE}
                  value={linesPerSlide(doc, outfit)}
                  onChange={(event) => {
                    const count = Math.round(event.target.valueAsNumber);
                    if (count >= 1 && count <= MOST_LINES_PER_SLIDE)
                      onType({ ...doc, lines: { ...doc.lines, [outfit.id]: count } });
                  }}
                  className={`${fieldClass} w-16! py-1! text-center font-mono`}
                />
              </label>
            ))}
            {doc.breaks.length > 0 && (
              <button
                type="button"
                onClick={() => onType({ ...doc, breaks: [] })}
                className="min-h-8 rounded-md bg-lifted px-3 text-paper hover:bg-edge"
              >
                {t`Remove ${doc.breaks.length === 1 ? t`the manual break` : t`${doc.breaks.length} manual breaks`}`}
              </button>
            )}
          </p>
          {divided && divided.lostBreaks.length > 0 && (
            <p role="status" className="text-[14px] text-attention">
              {t`${
                divided.lostBreaks.length === 1
                  ? t`A manual break has`
                  : t`${divided.lostBreaks.length} manual breaks have`
              } no place any more: the words on both sides of it are gone (“`}
              {divided.lostBreaks[0]?.before}” | “{divided.lostBreaks[0]?.after}”).{" "}
              <button
                type="button"
                onClick={() =>
                  onType({
                    ...doc,
                    breaks: doc.breaks.filter((manual) => !divided.lostBreaks.includes(manual)),
                  })
                }
                className="min-h-8 rounded-md bg-lifted px-3 text-paper hover:bg-edge"
              >
                {t`Forget it`}
              </button>
            </p>
          )}
          <CleanedLine cleaned={paste.cleaned} />
          <div className="flex">
            <div className="relative" style={{ width: groups.length * COLUMN_PX + 10 }}>
              {sections.map((section) => (
                <div key={section.section.key} className="absolute top-0 left-0">
                  <BracketColumns
                    groups={groups}
                    divisions={section.divisions}
                    lineOfUnit={section.lineOfUnit}
                    offsetPx={PADDING_PX}
                    onBreak={breakIn(section)}
                  />
                </div>
              ))}
            </div>
            <textarea
              ref={words}
              id={id}
              aria-label={t`Words`}
              data-field="words"
              dir="auto"
              lang={doc.language || undefined}
              value={doc.text}
              rows={Math.max(6, doc.text.split("\n").length)}
              wrap="off"
              spellCheck
              placeholder={t`Verse 1\nPaste or type the words here.\nA blank line parts stanzas;\nlabels such as Chorus or [Bridge] name them.`}
              onChange={(event) => {
                onType({ ...doc, text: event.target.value });
                follow(event.currentTarget);
              }}
              onPaste={(event) => {
                if (!guardPaste(event, (sentence) => store.say("trouble", sentence))) paste.onPaste(event);
              }}
              onKeyDown={(event) => {
                if (event.key !== "Enter" || !event.altKey) return;
                event.preventDefault();
                breakHere(event.currentTarget);
              }}
              onSelect={(event) => follow(event.currentTarget)}
              className="font-words min-w-0 flex-1 resize-none overflow-x-auto overflow-y-hidden rounded-md border border-edge-strong bg-ground px-3 text-[18px] whitespace-pre placeholder:text-quiet"
              style={{ lineHeight: `${LINE_PX}px`, paddingBlock: PADDING_PX - 1 }}
            />
          </div>
          <p className="text-[14px] text-second">
            <kbd>Alt+Enter</kbd>{" "}
            {t`parts or joins slides before this line on every screen; a press beside it, on one.`}{" "}
            {hasChords && t`Chords are kept in the text and left out on slides.`}
          </p>
        </Tabs.Content>
        <Tabs.Content value="second">
          <SecondLanguageTab id={id} doc={doc} onType={onType} />
        </Tabs.Content>
        <Tabs.Content value="credits">
          <CreditsTab id={id} doc={doc} read={divided?.song.credits} inLibrary={inLibrary} onType={onType} />
        </Tabs.Content>
      </Tabs.Root>
    </>
  );
}
