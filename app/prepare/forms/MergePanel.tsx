import { useState } from "react";
import { t } from "../../../core/language/t.ts";
import type { MergedSong, Side, SongConflict } from "../../../core/words/mergeSong.ts";
import type { SongFields } from "../../../core/words/songFields.ts";

const FIELD_NAMES: Readonly<Record<keyof SongFields, string>> = {
  title: t`title`,
  text: t`words`,
  order: t`order`,
  language: "language",
  second: t`second language`,
  version: t`version`,
  credits: t`credits`,
  lines: t`lines on a slide`,
  breaks: t`manual breaks`,
  told: t`lines said by hand`,
  kept: t`lines of the song file`,
  keptAt: t`lines of the song file`,
};

/** Two changes of one song: what each changed, and what both changed otherwise, to choose from. */
export function MergePanel({
  merged,
  onSettle,
  onClose,
}: {
  merged: MergedSong;
  onSettle: (song: SongFields) => void;
  onClose: () => void;
}) {
  const [sides, setSides] = useState<Readonly<Record<number, Side>>>({});
  const { conflicts, changed } = merged;
  const names = (fields: readonly (keyof SongFields)[]) =>
    [...new Set(fields.map((field) => FIELD_NAMES[field]))].join(", ") || "nothing";
  return (
    <section
      aria-label={t`What both changed`}
      className="mt-2 w-full rounded-lg border border-edge bg-ground p-3 text-[15px] text-paper"
    >
      <p>
        {t`The library’s song has changed since this copy was taken. There: ${names(changed.theirs)}. Here: ${names(changed.ours)}. ${
          conflicts.length === 0
            ? t`Nothing clashes: both are kept.`
            : t`${conflicts.length === 1 ? t`One thing was` : t`${conflicts.length} things were`} changed in both; choose.`
        }`}
      </p>
      {conflicts.map((conflict, at) => (
        <Clash
          // biome-ignore lint/suspicious/noArrayIndexKey: a clash is its place
          key={at}
          name={`clash-${at}`}
          conflict={conflict}
          side={sides[at] ?? "ours"}
          onChoose={(side) => setSides({ ...sides, [at]: side })}
        />
      ))}
      <p className="mt-3 flex gap-3">
        <button
          type="button"
          onClick={() => onSettle(merged.settle((_, at) => sides[at] ?? "ours"))}
          className="min-h-9 rounded-md bg-act px-3 font-bold text-on-bright hover:brightness-110"
        >
          {t`Keep both in the library`}
        </button>
        <button type="button" onClick={onClose} className="min-h-9 rounded-md bg-lifted px-3 hover:bg-edge">
          {t`Not now`}
        </button>
      </p>
    </section>
  );
}

function Clash({
  name,
  conflict,
  side,
  onChoose,
}: {
  name: string;
  conflict: SongConflict;
  side: Side;
  onChoose: (side: Side) => void;
}) {
  const choice = (which: Side, label: string, text: string) => (
    <label className="flex min-w-0 cursor-pointer gap-2.5 rounded-md border border-edge p-2.5 has-checked:border-act">
      <input
        type="radio"
        name={name}
        checked={side === which}
        onChange={() => onChoose(which)}
        className="mt-1.5"
      />
      <span className="min-w-0">
        <span className="block text-[14px] text-second">{label}</span>
        <span className="font-words block whitespace-pre-line text-[16px] break-words">
          {text || t`nothing`}
        </span>
      </span>
    </label>
  );
  return (
    <fieldset className="mt-3 grid grid-cols-3 gap-2 max-[1100px]:grid-cols-1">
      <legend className="mb-1 text-[14px] text-second">{FIELD_NAMES[conflict.field]}</legend>
      <p className="min-w-0 rounded-md p-2.5">
        <span className="block text-[14px] text-second">{t`as it was`}</span>
        <span className="font-words block whitespace-pre-line text-[16px] break-words text-second">
          {conflict.before || t`nothing`}
        </span>
      </p>
      {choice("theirs", t`in the library`, conflict.theirs)}
      {choice("ours", "here", conflict.ours)}
    </fieldset>
  );
}
