import { useMemo } from "react";
import { t } from "../../../core/language/t.ts";
import type { SongDoc } from "../../../core/rundown/cueDoc.ts";
import { parseSong } from "../../../core/words/song.ts";
import { CleanedLine } from "../../ui/CleanedLine.tsx";
import { fieldClass, Labelled } from "../../ui/Labelled.tsx";
import { LANGUAGES } from "../../ui/languages.ts";
import { useCleanPaste } from "../../ui/useCleanPaste.ts";

/** The languages of a song, and its words in the second one, section by section. */
export function SecondLanguageTab({
  id,
  doc,
  onType,
}: {
  id: string;
  doc: SongDoc;
  onType: (doc: SongDoc) => void;
}) {
  const text = doc.second?.text ?? "";
  const setText = (words: string) =>
    onType({
      ...doc,
      second:
        words === "" && !doc.second?.language ? null : { language: doc.second?.language ?? "", text: words },
    });
  const paste = useCleanPaste(text, setText);
  const problems = useMemo(() => findUneven(doc.text, text), [doc.text, text]);
  return (
    <div className="flex flex-col gap-3">
      <div className="flex gap-3">
        <LanguageField
          id={`${id}-language`}
          label={t`Language of the words`}
          value={doc.language}
          onChange={(language) => onType({ ...doc, language })}
        />
        <LanguageField
          id={`${id}-second-language`}
          label={t`Second language`}
          value={doc.second?.language ?? ""}
          onChange={(language) =>
            onType({ ...doc, second: language === "" && text === "" ? null : { language, text } })
          }
        />
      </div>
      <CleanedLine cleaned={paste.cleaned} />
      <Labelled id={`${id}-second`} label={t`The same sections in the second language, line for line`}>
        <textarea
          id={`${id}-second`}
          dir="auto"
          lang={doc.second?.language || undefined}
          value={text}
          rows={Math.max(6, text.split("\n").length)}
          spellCheck
          placeholder={"Estrofa 1\n…"}
          onChange={(event) => setText(event.target.value)}
          onPaste={paste.onPaste}
          className={`${fieldClass} font-words text-[18px]`}
        />
      </Labelled>
      {problems.map((problem) => (
        <p key={problem} className="text-[14px] text-attention">
          {problem}
        </p>
      ))}
      {doc.second && (
        <p className="text-[14px] text-second">
          {t`Screens whose outfit has a template for two languages show both; the others show the first.`}
        </p>
      )}
    </div>
  );
}

function LanguageField({
  id,
  label,
  value,
  onChange,
}: {
  id: string;
  label: string;
  value: string;
  onChange: (value: string) => void;
}) {
  return (
    <Labelled id={id} label={label}>
      <select
        id={id}
        value={value}
        onChange={(event) => onChange(event.target.value)}
        className={`${fieldClass} text-[16px]`}
      >
        <option value="">{t`not said`}</option>
        {[
          ...LANGUAGES,
          ...(value !== "" && !LANGUAGES.some(([tag]) => tag === value) ? [[value, value] as const] : []),
        ].map(([tag, name]) => (
          <option key={tag} value={tag}>
            {name}
          </option>
        ))}
      </select>
    </Labelled>
  );
}

/** Sections that one language has and the other has not, or in another number of lines. */
function findUneven(first: string, second: string): string[] {
  if (second.trim() === "") return [];
  const a = parseSong(first, "first");
  const b = parseSong(second, "second");
  if ("problem" in a || "problem" in b) return [];
  const others = new Map(b.song.sections.map((section) => [section.key, section.stanzas.flat().length]));
  return a.song.sections.flatMap(({ key, label, stanzas }) => {
    const lines = stanzas.flat().length;
    const theirs = others.get(key);
    if (theirs === undefined) return [t`${label} (${key}) has no words in the second language.`];
    return theirs === lines
      ? []
      : [t`${label} has ${lines} lines here and ${theirs} in the second language.`];
  });
}
