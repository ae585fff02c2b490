import { t } from "../../core/language/t.ts";
import { csvText } from "../../core/report/csvText.ts";
import type { OpenEvening } from "../../core/rundown/evening.ts";
import {
  cellsOf,
  lyricsSheet,
  RUNDOWN_COLUMNS,
  type RundownLine,
  rundownMarkdown,
} from "../../core/rundown/rundownFile.ts";
import { cueTiming } from "../ui/describeCue.ts";
import { saveText } from "../ui/saveText.ts";
import type { PaperCue } from "./paperCue.ts";

/** The rundown as files for other programs, and the words of the songs for those who sing along. */
export function SaveRundown({
  cues,
  evening: { name, day },
}: {
  cues: readonly PaperCue[];
  evening: OpenEvening;
}) {
  const lines = () => cues.map(lineOf);
  const file = [name, day].filter((part) => part !== "").join(" ");
  const save = {
    CSV: () => saveText(`${file}.csv`, "text/csv", csvText(RUNDOWN_COLUMNS, lines().map(cellsOf))),
    Markdown: () => saveText(`${file}.md`, "text/markdown", rundownMarkdown(name, day, lines())),
    Lyrics: () =>
      saveText(
        t`${file} lyrics.txt`,
        "text/plain",
        lyricsSheet(
          name,
          cues.flatMap(({ ready }) => (ready && !ready.doc.isOff ? [ready.content] : [])),
        ),
      ),
  };
  return (
    <section aria-label={t`The rundown`} className="flex flex-col gap-3">
      <p className="text-second">{t`The rundown as a table, or the words of its songs and readings.`}</p>
      <span className="flex gap-1.5">
        {Object.entries(save).map(([what, keep]) => (
          <button
            key={what}
            type="button"
            disabled={cues.length === 0}
            onClick={keep}
            className="flex min-h-10 flex-1 items-center justify-center rounded-lg bg-lifted px-3 text-[15px] hover:bg-edge disabled:text-quiet"
          >
            {what}
          </button>
        ))}
      </span>
    </section>
  );
}

const lineOf = ({ view: { doc }, index, title, kindName, plannedAt }: PaperCue): RundownLine => ({
  ...{ number: index + 1, at: plannedAt, title, kind: kindName, lengthMs: doc.plannedMs },
  ...{ byItself: cueTiming(doc) ?? "", note: doc.note, isOff: doc.isOff },
  isHeading: doc.kind === "remark" && doc.isHeading,
});
