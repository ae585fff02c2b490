import { Dialog } from "radix-ui";
import { useEffect, useMemo, useState } from "react";
import type { DesignState, Touches } from "../../../core/design/designEdit.ts";
import { t } from "../../../core/language/t.ts";
import { stepsOf, valuesAt } from "../../../core/rundown/steps.ts";
import type { FieldSet } from "../../../core/scene/fieldSet.ts";
import type { HouseStyle } from "../../../core/scene/houseStyle.ts";
import { shapesOf } from "../../../core/scene/shapes.ts";
import type { Template } from "../../../core/scene/template.ts";
import { ask } from "../../api/call.ts";
import type { Asks } from "../../api/calls.ts";
import { useDesk, useDeskStore } from "../../desk/deskContext.ts";
import type { Drawing } from "../../live/drawing.ts";
import standIn from "../../live/standInPicture.svg";
import { CloseButton } from "../../ui/CloseButton.tsx";
import { Sheet } from "./Sheet.tsx";
import { type MediaByHash, useTemplatePage } from "./useTemplatePage.ts";

/** Pages shown before and after. */
const MOST_SHOWN = 6;
const WIDTH_PX = 300;

interface Given {
  readonly id: string;
  readonly template: Template;
  readonly fieldSet: FieldSet | undefined;
  readonly style: HouseStyle;
  readonly media: MediaByHash;
  readonly drawing: Drawing;
}

/** Puts the draft into use: what it touches is said in words and seen first. */
export function PublishButton({
  state,
  hasNewFields,
  onPublish,
  ...given
}: Given & {
  state: DesignState;
  /** Its fields have a draft too, which goes with it. */
  hasNewFields: boolean;
  onPublish: (note: string) => void;
}) {
  const [isOpen, setOpen] = useState(false);
  return (
    <Dialog.Root open={isOpen} onOpenChange={setOpen}>
      <Dialog.Trigger
        disabled={!state.isDraft && !hasNewFields}
        className="min-h-9 rounded-lg bg-act px-4 text-[15px] font-bold text-on-bright hover:brightness-110 disabled:bg-lifted disabled:font-normal disabled:text-second"
      >
        {state.isDraft || hasNewFields
          ? t`Publish`
          : state.published === null
            ? t`Nothing to publish`
            : t`Version ${state.published} in use`}
      </Dialog.Trigger>
      <Dialog.Portal>
        <Dialog.Overlay className="fixed inset-0 z-30 bg-black/60" />
        <Dialog.Content
          aria-describedby={undefined}
          className="fixed inset-x-0 top-[6vh] z-40 mx-auto flex max-h-[88vh] w-[min(46rem,94vw)] flex-col rounded-xl border border-edge-strong bg-raised shadow-2xl"
        >
          <PublishPanel
            {...given}
            next={(state.published ?? 0) + (state.isDraft ? 1 : 0)}
            hasNewFields={hasNewFields}
            onPublish={(note) => {
              onPublish(note);
              setOpen(false);
            }}
            onClose={() => setOpen(false)}
          />
        </Dialog.Content>
      </Dialog.Portal>
    </Dialog.Root>
  );
}

function PublishPanel({
  next,
  hasNewFields,
  onPublish,
  onClose,
  ...given
}: Given & { next: number; hasNewFields: boolean; onPublish: (note: string) => void; onClose: () => void }) {
  const [note, setNote] = useState("");
  const [told, setTold] = useState<Asks["/design-touches"]>();
  const { id } = given;
  useEffect(() => {
    let gone = false;
    void ask("/design-touches", `?${new URLSearchParams({ kind: "template", id })}`).then((answer) => {
      if (!gone && "value" in answer) setTold(answer.value);
    });
    return () => {
      gone = true;
    };
  }, [id]);
  const before = told?.before?.kind === "template" ? told.before : null;
  return (
    <>
      <header className="flex items-center justify-between px-5 pt-4">
        <Dialog.Title className="text-[18px] font-semibold">{t`Publish version ${next}`}</Dialog.Title>
        <CloseButton label={t`Close without publishing`} onClose={onClose} />
      </header>
      <p role="status" className="px-5 py-2 text-[15px]">
        {told ? inWords(told.touches) : t`Looking for the pages that use it…`}
        {hasNewFields &&
          t` Its fields were changed: forms have them from then on, for every template of these pages.`}
      </p>
      <div className="min-h-24 flex-1 overflow-y-auto border-y border-edge px-5 py-3">
        {told && <Comparisons {...given} before={before} cueIds={told.touches.cueIds.slice(0, MOST_SHOWN)} />}
        {told && told.touches.cueIds.length > MOST_SHOWN && (
          <p className="mt-2 text-[14px] text-second">
            {t`and ${told.touches.cueIds.length - MOST_SHOWN} more of this evening`}
          </p>
        )}
      </div>
      <footer className="flex items-end gap-3 px-5 py-4">
        <label className="flex-1 text-[14px] text-second">
          {t`What is new in it`}
          <input
            value={note}
            maxLength={400}
            onChange={({ target }) => setNote(target.value)}
            onKeyDown={(event) => event.key === "Enter" && onPublish(note.trim())}
            className="mt-1 min-h-10 w-full rounded-md border border-edge-strong bg-ground px-2 text-[15px] text-paper"
          />
        </label>
        <button
          type="button"
          onClick={() => onPublish(note.trim())}
          className="min-h-10 rounded-lg bg-act px-5 text-[15px] font-bold text-on-bright hover:brightness-110"
        >
          {t`Publish`}
        </button>
      </footer>
    </>
  );
}

const plural = (count: number, one: string, many: string): string => `${count} ${count === 1 ? one : many}`;

/** What it touches, in a sentence. */
function inWords({ pages, evenings, screens, isOnAir }: Touches): string {
  const who =
    pages === 0
      ? t`No page uses it yet.`
      : t`${plural(pages, t`page`, t`pages`)} in ${plural(evenings, t`evening`, t`evenings`)} ${pages === 1 ? t`uses` : t`use`} it${screens.length > 0 ? t`, seen on ${screens.join(t` and `)}` : ""}; ${pages === 1 ? t`it has` : t`they have`} this version from their next take on.`;
  return `${who} ${isOnAir ? t`It is on air now: what is on air stays as it is until it is sent.` : t`What is on air stays as it is.`}`;
}

function Comparisons({
  before,
  cueIds,
  ...given
}: Given & { before: Template | null; cueIds: readonly string[] }) {
  const { cues, outfits } = useDesk("cues", "outfits");
  const store = useDeskStore();
  const pages = cueIds.flatMap((cueId) => {
    const cue = cues.find(({ view }) => view.cueId === cueId);
    const content = cue?.ready?.content;
    const anchor = content && stepsOf(content)[0]?.anchor;
    const outfit = outfits.find(({ id, templates }) =>
      Boolean(content && anchor && templates[given.template.fieldSet] && valuesAt(content, id, anchor)),
    );
    const values = content && anchor && outfit ? valuesAt(content, outfit.id, anchor) : undefined;
    return cue && values ? [{ cueId, title: cue.title, values }] : [];
  });
  // Pictures of the pages themselves, beside those of the samples.
  const media = useMemo(
    () =>
      new Map([
        ...given.media,
        ...[...store.documents].flatMap(([hash, document]) =>
          document.kind === "media" ? [[hash, document] as const] : [],
        ),
      ]),
    [given.media, store],
  );
  if (pages.length === 0)
    return <p className="text-[15px] text-second">{t`There is no page of this evening to compare.`}</p>;
  return (
    <ul className="flex flex-col gap-4">
      {pages.map(({ cueId, title, values }) => (
        <li key={cueId}>
          <p className="mb-1 text-[15px] font-semibold">{title}</p>
          <div className="flex flex-wrap gap-3">
            {shapesOf(given.template).map((shape, i) => (
              // biome-ignore lint/suspicious/noArrayIndexKey: a shape is its place
              <div key={i} className="flex flex-wrap gap-3">
                {before && (
                  <Seen
                    {...given}
                    media={media}
                    template={shapesOf(before)[i] ?? before}
                    values={values}
                    words={t`as it is`}
                  />
                )}
                <Seen {...given} media={media} template={shape} values={values} words={t`as it will be`} />
              </div>
            ))}
          </div>
        </li>
      ))}
    </ul>
  );
}

function Seen({
  template,
  values,
  words,
  fieldSet,
  style,
  media,
  drawing,
}: Given & { values: Readonly<Record<string, string>>; words: string }) {
  const page = useTemplatePage({ template, values, style, fieldSet, media, drawing });
  const zoom = WIDTH_PX / template.canvas.widthPx;
  return (
    <figure>
      <span
        className="relative block overflow-hidden rounded-md"
        style={{
          width: WIDTH_PX,
          height: template.canvas.heightPx * zoom,
          background: `#3a3330 url(${standIn}) center / cover`,
        }}
      >
        <Sheet page={page} drawing={drawing} zoom={zoom} />
      </span>
      <figcaption className="text-[14px] text-second">{words}</figcaption>
    </figure>
  );
}
