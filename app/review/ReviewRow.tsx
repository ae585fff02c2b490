import { t } from "../../core/language/t.ts";
import type { ReadLine } from "../../core/words/reader/readSong.ts";
import { TOLD_KINDS, type ToldKind } from "../../core/words/reader/told.ts";
import { LEFT_OUT, LINE_NAMES, TOLD_AS, TOLD_NAMES } from "./toldNames.ts";

/** One line of a pasted song: what it was taken for and why, and what it can be made with one press. */
export function ReviewRow({
  line,
  mark,
  note,
  isFirst,
  onTell,
}: {
  line: ReadLine;
  /** The key of the section that begins here. */
  mark: string;
  note: string | undefined;
  isFirst: boolean;
  onTell: (kind: ToldKind) => void;
}) {
  const { kind, why, isDoubtful, text, typed, blankBefore } = line;
  const isLeftOut = LEFT_OUT.has(kind);
  const isWords =
    kind === "words" || (kind === "label" && why.endsWith("follow")) || why.startsWith(t`begins with`);
  return (
    <li
      data-line={line.index}
      data-kind={kind}
      tabIndex={isFirst ? 0 : -1}
      aria-label={`${text || typed}: ${LINE_NAMES[kind] || t`words`}, ${why}`}
      className={`group grid min-h-8 grid-cols-[44px_minmax(0,1fr)_auto] items-center gap-x-3 border-l-4 pr-2 pl-2 hover:bg-raised focus:bg-lifted focus:outline-none ${isDoubtful ? "border-attention" : "border-transparent focus:border-act"} ${blankBefore && !isFirst ? "mt-2" : ""}`}
    >
      <span className="self-start pt-1 font-mono text-[14px] font-semibold text-second">{mark}</span>
      <span className="min-w-0 py-0.5">
        <span
          className={
            isWords
              ? "font-words text-[17px]"
              : kind === "title"
                ? "font-words text-[17px] font-bold"
                : kind === "chords" || kind === "tab"
                  ? "font-mono text-[14px] whitespace-pre text-second line-through decoration-1"
                  : `text-[15px] text-second ${isLeftOut ? "line-through decoration-1" : ""}`
          }
          dir="auto"
        >
          {kind === "chords" || kind === "tab" ? typed : text || typed}
        </span>
        {note && <span className="ml-3 text-[14px] text-second">{note}</span>}
        {(isLeftOut || isDoubtful || kind === "repeat") && (
          <span className={`ml-3 text-[14px] ${isDoubtful ? "text-attention" : "text-second"}`}>{why}</span>
        )}
      </span>
      <span className="relative flex h-8 items-center justify-end">
        <span className="text-[14px] text-second group-hover:invisible group-focus-within:invisible group-focus:invisible">
          {LINE_NAMES[kind]}
        </span>
        <span className="absolute right-0 flex gap-1 rounded-md opacity-0 group-hover:opacity-100 group-focus-within:opacity-100 group-focus:opacity-100">
          {TOLD_KINDS.map((each) => (
            <button
              key={each}
              type="button"
              tabIndex={-1}
              aria-pressed={TOLD_AS[kind] === each}
              onClick={() => onTell(each)}
              className="flex min-h-7 items-center gap-1.5 rounded bg-edge px-2 text-[14px] text-paper hover:brightness-125 aria-pressed:bg-act-ground aria-pressed:text-act"
            >
              {TOLD_NAMES[each].name}
              <span aria-hidden="true" className="font-mono text-second max-[900px]:hidden">
                {TOLD_NAMES[each].key.toUpperCase()}
              </span>
            </button>
          ))}
        </span>
      </span>
    </li>
  );
}
