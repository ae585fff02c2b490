import { type ReactNode, useEffect, useId, useRef, useState } from "react";
import { t } from "../../../core/language/t.ts";
import { looksLikeRows } from "../../../core/rundown/bulkPages.ts";
import type { CueDoc } from "../../../core/rundown/cueDoc.ts";
import type { Cleaning } from "../../../core/words/hygiene.ts";
import type { Told } from "../../../core/words/reader/told.ts";
import { call } from "../../api/call.ts";
import { useDesk } from "../../desk/deskContext.ts";
import { SongReview } from "../../review/SongReview.tsx";
import { useReview } from "../../review/useReview.ts";
import { CleanedLine } from "../../ui/CleanedLine.tsx";
import { cueKindName } from "../../ui/describeCue.ts";
import { useCleanPaste } from "../../ui/useCleanPaste.ts";
import { guardPaste } from "../forms/guardPaste.ts";
import { AddMenu } from "./AddMenu.tsx";
import { BulkPages } from "./BulkPages.tsx";
import { FeedPages } from "./FeedPages.tsx";

type Understood =
  | {
      readonly doc: CueDoc;
      readonly title: string;
      readonly steps: number;
      /** References that it could mean as well. */
      readonly others: readonly string[];
    }
  | { readonly problem: string };

/** What the server made of a text, with what was said of its lines. */
interface Asked {
  readonly typed: string;
  readonly told: readonly Told[];
  readonly result: Understood;
}

const UNDERSTAND_AFTER_MS = 90;

/** Tabs part cells, and names in capitals are not ours to change; chords may be wanted. */
const keptInAddBox = (raw: string): readonly Cleaning[] =>
  !raw.trim().includes("\n") || looksLikeRows(raw) ? ["spaces", "capitals", "chords"] : ["spaces", "chords"];

/** One box for everything: a reference, a name and role, or a whole song pasted; it says what it would become. */
export function AddBox({
  onAdd,
  onAddAll,
  onFiles,
  tools,
}: {
  onAdd: (doc: CueDoc) => Promise<boolean>;
  onAddAll: (docs: readonly CueDoc[]) => Promise<boolean>;
  onFiles: (files: readonly File[]) => void;
  /** Stand beside what the box says. */
  tools: ReactNode;
}) {
  const { fieldSets } = useDesk("fieldSets");
  const [typed, setTyped] = useState("");
  const [understood, setUnderstood] = useState<Asked | null>(null);
  const sayId = useId();
  /** Pages are made of a feed's rows. */
  const [isOfFeed, setIsOfFeed] = useState(false);
  const latest = useRef(typed);
  latest.current = typed;
  const manyLines = typed.includes("\n");
  /** Lines that are rather a list; a person may know better. */
  const [isSong, setIsSong] = useState<boolean | null>(null);
  const asRows = manyLines && !(isSong ?? !looksLikeRows(typed));
  const review = useReview(asRows ? "" : typed);
  const paste = useCleanPaste(typed, setTyped, keptInAddBox);

  useEffect(() => {
    setUnderstood((known) => (known?.typed === typed ? known : null));
    if (typed.trim() === "") setIsSong(null);
    if (typed.trim() === "" || asRows) return;
    const timer = setTimeout(async () => {
      const result = await askServer(typed, review.told);
      if (latest.current === typed) setUnderstood({ typed, told: review.told, result });
    }, UNDERSTAND_AFTER_MS);
    return () => clearTimeout(timer);
  }, [typed, asRows, review.told]);

  const addRows = async (docs: readonly CueDoc[]) => {
    if (await onAddAll(docs)) setTyped("");
  };
  const add = async () => {
    if (typed.trim() === "") return;
    const isKnown = understood?.typed === typed && understood.told === review.told;
    const result = isKnown ? understood.result : await askServer(typed, review.told);
    if ("problem" in result) {
      setUnderstood({ typed, told: review.told, result });
      return;
    }
    // Who types fast has typed on: only what was added goes.
    if (latest.current === typed) setTyped("");
    if (!(await onAdd(review.complete(result.doc))) && latest.current === "") setTyped(typed);
  };

  const result = understood?.result;
  return (
    // biome-ignore lint/a11y/noStaticElementInteractions: keys of whatever in it has the focus
    <div
      className="min-w-0 flex-1"
      data-add
      onKeyDown={(event) => {
        if (event.key === "Escape" && isOfFeed) setIsOfFeed(false);
        if (event.key !== "Enter" || !event.altKey || !(asRows || isOfFeed)) return;
        event.preventDefault();
        event.currentTarget.querySelector<HTMLButtonElement>("[data-add-rows]")?.click();
      }}
    >
      <div className="flex items-start gap-2">
        <textarea
          id="add-box"
          aria-label={t`Add to the rundown: a song, a reference, or a name and role`}
          aria-describedby={sayId}
          value={typed}
          rows={manyLines ? (review.reading ? 3 : 6) : 1}
          placeholder={t`Paste a song, or type “Ps 107:23-30”, or “Name, role”`}
          onChange={(event) => setTyped(event.target.value)}
          onPaste={(event) => {
            if (
              !guardPaste(event, (problem) =>
                setUnderstood({ typed, told: review.told, result: { problem } }),
              )
            )
              paste.onPaste(event);
          }}
          onKeyDown={(event) => {
            if (
              event.key === "Enter" &&
              (event.altKey || (!event.ctrlKey && !event.shiftKey && !manyLines))
            ) {
              event.preventDefault();
              if (!asRows && !isOfFeed) void add();
            }
          }}
          className="min-h-11 w-full resize-none rounded-lg border border-edge-strong bg-paper px-3.5 py-2.5 text-[16px] leading-snug text-ground placeholder:text-[#6d6054]"
        />
        <button
          type="button"
          onClick={add}
          disabled={typed.trim() === "" || asRows}
          className="min-h-11 shrink-0 rounded-lg bg-act px-4 text-[15px] font-bold text-on-bright hover:brightness-110 disabled:bg-lifted disabled:text-quiet"
        >
          {t`Add`}
        </button>
        <AddMenu onFiles={onFiles} onAdd={onAdd} onFeed={() => setIsOfFeed(true)} />
      </div>
      <CleanedLine cleaned={paste.cleaned} />
      {review.reading && (
        <>
          <SongReview
            text={review.text}
            reading={review.reading}
            told={review.told}
            onTell={review.tell}
            onAccept={(offer) => {
              const text = review.accept(offer);
              if (text !== undefined) setTyped(text);
            }}
          />
          {review.accepted !== "" && (
            <p role="status" className="mt-1.5 text-[14px] text-act">
              {review.accepted}
            </p>
          )}
        </>
      )}
      {asRows && (
        <BulkPages
          pasted={typed}
          onAdd={addRows}
          tools={
            <button
              type="button"
              onClick={() => setIsSong(true)}
              className="min-h-9 rounded-md bg-lifted px-3 hover:bg-edge"
            >
              {t`It is one song`}
            </button>
          }
        />
      )}
      {isOfFeed && (
        <FeedPages
          onCancel={() => setIsOfFeed(false)}
          onAdd={async (docs) => {
            if (await onAddAll(docs)) setIsOfFeed(false);
          }}
        />
      )}
      <div className="mt-2 flex items-start gap-3">
        <p
          id={sayId}
          aria-live="polite"
          className="flex min-h-9 min-w-0 flex-1 items-center gap-3 text-[14px]"
        >
          {asRows ? null : result === undefined ? (
            <span className="text-second">{t`It is added after the chosen cue.`}</span>
          ) : "problem" in result ? (
            <span className="text-attention">{result.problem}</span>
          ) : (
            <span className="text-act">
              {cueKindName(result.doc, fieldSets)}: {result.title}
              {result.steps > 1 && t`, ${result.steps} steps`} —{" "}
              <kbd>{manyLines ? "Alt+Enter" : t`Enter`}</kbd> {t`adds it`}
            </span>
          )}
          {result && "others" in result && result.others.length > 0 && (
            <span className="flex flex-wrap items-center gap-2 text-attention">
              {t`or`}
              {result.others.map((other) => (
                <button
                  key={other}
                  type="button"
                  onClick={() => setTyped(other)}
                  className="min-h-8 rounded-md bg-lifted px-3 text-paper hover:bg-edge"
                >
                  {other}
                </button>
              ))}
            </span>
          )}
          {manyLines && !asRows && (
            <button
              type="button"
              onClick={() => setIsSong(false)}
              className="min-h-8 rounded-md bg-lifted px-3 text-paper hover:bg-edge"
            >
              {t`One page for each line`}
            </button>
          )}
        </p>
        {tools}
      </div>
    </div>
  );
}

async function askServer(typed: string, told: readonly Told[]): Promise<Understood> {
  const answer = await call("/understand", { typed, told });
  if ("problem" in answer) return { problem: answer.problem.sentence };
  return "whyNot" in answer.value ? { problem: answer.value.whyNot } : answer.value;
}
