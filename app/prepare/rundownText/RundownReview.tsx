import { useEffect, useState } from "react";
import { t } from "../../../core/language/t.ts";
import type { CueDoc } from "../../../core/rundown/cueDoc.ts";
import { TAKEN_FOR, type TakenFor, type TakenLine } from "../../../core/rundown/takeEntry.ts";
import { call } from "../../api/call.ts";
import { formatLength } from "../../ui/format.ts";
import { fieldClass } from "../../ui/Labelled.tsx";

const WORDS: Readonly<Record<TakenFor, string>> = {
  heading: t`a heading`,
  song: t`a song`,
  reading: t`a reading`,
  strap: t`a name strap`,
  title: t`a title page`,
  remark: t`a remark`,
};
type Choice = TakenFor | "left";

/** A rundown that somebody wrote: what each line was taken for, to be told otherwise, before any cue is added. */
export function RundownReview({
  name,
  text,
  onAdd,
  onClose,
}: {
  /** Of its file. */
  name: string;
  text: string;
  onAdd: (docs: readonly CueDoc[]) => Promise<boolean>;
  onClose: () => void;
}) {
  const [lines, setLines] = useState<readonly TakenLine[]>();
  const [problem, setProblem] = useState("");
  const [told, setTold] = useState<Readonly<Record<number, Choice>>>({});
  useEffect(() => {
    let isGone = false;
    void call("/read-rundown", { text }).then((answer) => {
      if (isGone) return;
      if ("problem" in answer) setProblem(answer.problem.sentence);
      else setLines(answer.value.lines);
    });
    return () => {
      isGone = true;
    };
  }, [text]);
  const choiceOf = (index: number): Choice => told[index] ?? lines?.[index]?.takenFor ?? "left";
  const docs = (lines ?? []).flatMap((line, index) => {
    const choice = choiceOf(index);
    return choice === "left" ? [] : (line.docs[choice] ?? []);
  });
  return (
    <section
      aria-label={t`A rundown from a file`}
      className="flex max-h-[70%] min-h-0 shrink-0 flex-col border-b border-edge bg-raised px-4 py-3"
    >
      <div className="flex flex-wrap items-center gap-3">
        <h2 className="mr-auto min-w-0 truncate text-[16px] font-semibold">{name}</h2>
        <button
          type="button"
          onClick={onClose}
          className="min-h-10 rounded-lg bg-lifted px-4 text-[15px] hover:bg-edge"
        >
          {t`Cancel`}
        </button>
        <button
          type="button"
          disabled={docs.length === 0}
          onClick={() => void onAdd(docs).then((isAdded) => isAdded && onClose())}
          className="min-h-10 rounded-lg bg-act px-4 text-[15px] font-bold text-on-bright hover:brightness-110 disabled:bg-lifted disabled:font-normal disabled:text-quiet"
        >
          {t`Add ${docs.length} ${docs.length === 1 ? t`cue` : t`cues`}`}
        </button>
      </div>
      <p className="mt-1 text-[15px] text-second">
        {problem ||
          (!lines
            ? t`Reading it…`
            : lines.length === 0
              ? t`No line of a rundown was found in it. Nothing is added.`
              : t`Each line with what it was taken for. Say otherwise where it is not so; nothing is added until you press.`)}
      </p>
      {/* biome-ignore lint/a11y/noNoninteractiveTabindex: what scrolls must be reached by keys */}
      <ol tabIndex={0} aria-label={t`Lines`} className="mt-2 min-h-0 flex-1 overflow-y-auto">
        {lines?.map((line, index) => (
          <li
            // biome-ignore lint/suspicious/noArrayIndexKey: a line is its place
            key={index}
            className="grid grid-cols-[7rem_minmax(0,1fr)_11rem] items-center gap-3 border-t border-edge py-1 text-[15px]"
          >
            <Times doc={line.docs.remark} />
            <span
              className={`truncate ${choiceOf(index) === "heading" ? "font-semibold" : choiceOf(index) === "left" ? "text-second line-through" : ""}`}
            >
              {line.text}
            </span>
            <select
              aria-label={`“${line.text}” is`}
              value={choiceOf(index)}
              onChange={({ target }) =>
                setTold({ ...told, [index]: TAKEN_FOR.find((each) => each === target.value) ?? "left" })
              }
              className={`${fieldClass} text-[15px]`}
            >
              {TAKEN_FOR.filter((each) => line.docs[each]).map((each) => (
                <option key={each} value={each}>
                  {WORDS[each]}
                </option>
              ))}
              <option value="left">{t`left out`}</option>
            </select>
          </li>
        ))}
      </ol>
    </section>
  );
}

function Times({ doc }: { doc: CueDoc | undefined }) {
  const parts = [doc?.plannedAt ?? "", doc?.plannedMs ? formatLength(doc.plannedMs) : ""].filter(
    (part) => part !== "",
  );
  return <span className="font-mono text-[14px] text-second">{parts.join(" ")}</span>;
}
