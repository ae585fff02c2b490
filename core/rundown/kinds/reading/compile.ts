import { leftOutVerses } from "../../../findings/kinds/leftOutVerses.ts";
import { missingText } from "../../../findings/kinds/missingText.ts";
import { unreadReference } from "../../../findings/kinds/unreadReference.ts";
import { fitTogether } from "../../../words/divide.ts";
import { applyBreaks } from "../../../words/manualBreaks.ts";
import { pairVerses } from "../../../words/pairVerses.ts";
import { nameForReference } from "../../../words/reference/books.ts";
import type { Passage } from "../../../words/reference/passage.ts";
import { formatPassage } from "../../../words/reference/reference.ts";
import {
  baseLanguage,
  numberedText,
  type ReadPassage,
  readReference,
  type ScriptureInfo,
  versesOf,
} from "../../../words/scripture.ts";
import { verseUnits } from "../../../words/sense.ts";
import { samePassages } from "../../../words/versification.ts";
import { emptyContent, getFieldSet, wornBy } from "../../chooseTemplate.ts";
import type { CompileContext, Compiled } from "../../compileContext.ts";
import type { Occurrence } from "../../content.ts";
import { boxesOf, createMeasure, fillIn, halveWhatNeverFits } from "../../textBoxes.ts";
import type { ReadingDoc } from "./doc.ts";

export function compileReading(doc: ReadingDoc, context: CompileContext): Compiled {
  const { scripture } = context;
  const subject = { kind: "reading", id: doc.reference } as const;
  const found = readReference(scripture, doc.text, doc.reference);
  if ("problem" in found) return { problem: unreadReference(subject, { why: found.problem }) };
  const { info } = found;
  const other = doc.second && scripture.info(doc.second.text);
  if (doc.second && !other) return { problem: missingText(subject, { text: doc.second.text }) };
  const beside = doc.second?.how === "beside" ? other : undefined;
  const after = doc.second?.how === "after" ? other : undefined;

  const worn = wornBy(context, "reading", {
    template: doc.template,
    ...(beside ? { showing: "second" } : {}),
  });
  const boxes = boxesOf(context, worn);
  const measure = createMeasure(context.shaper);
  const occurrences: Occurrence[] = [];
  const divisions: Record<string, number[][]> = Object.fromEntries([...boxes.keys()].map((id) => [id, []]));

  const add = (key: string, read: ReadPassage, text: ScriptureInfo) => {
    const { passage, verses } = read;
    const units = beside
      ? pairVerses(scripture, read, text.code, beside.code, doc.numbers, doc.poetry)
      : verses.flatMap(({ text: words, chapter, verse }) =>
          verseUnits(words, { chapter, verse }, doc.poetry),
        );
    if (units.length === 0) return;
    const fitting = halveWhatNeverFits(units, boxes.values(), measure);
    occurrences.push({
      key,
      label: formatPassage(passage, baseLanguage(text.language)),
      book: passage.from.book,
      language: text.language,
      translation: text.name,
      units: fitting,
    });
    const outfits = [...boxes];
    const together = fitTogether(
      fitting,
      outfits.map(([, box]) => fillIn(box, fitting, measure, doc.numbers)),
    );
    for (const [at, [outfitId]] of outfits.entries())
      divisions[outfitId]?.push(applyBreaks(together[at] ?? [0], doc.breaks, key, outfitId, fitting));
  };
  for (const [index, read] of found.passages.entries()) {
    add(`p${index + 1}`, read, info);
    if (!after) continue;
    const [from, to] = [numberedText(scripture, info.code), numberedText(scripture, after.code)];
    for (const [at, passage] of samePassages(read.passage, from, to).entries())
      add(
        `p${index + 1}s${at === 0 ? "" : at + 1}`,
        { passage, verses: versesOf(scripture, after.code, passage) },
        after,
      );
  }
  if (occurrences.length === 0) return { problem: leftOutVerses(subject, { text: info.name }) };

  const rights = [info, ...(other ? [other] : [])].map((text) => text.rights).filter((line) => line !== "");
  return {
    content: {
      ...emptyContent(context, getFieldSet(context, "reading"), worn),
      cueKind: "reading",
      title: found.passages
        .map(({ passage }, i) =>
          shortTitle(passage, found.passages[i - 1]?.passage, baseLanguage(info.language)),
        )
        .join("; "),
      values: {
        reference: "",
        translation: doc.translation ? info.name : "",
        secondTranslation: doc.translation && beside ? beside.name : "",
        rights: doc.rights ? [...new Set(rights)].join(" · ") : "",
      },
      flow: {
        field: "words",
        numbers: doc.numbers,
        creditAt: "none",
        referenceAt: doc.referenceAt,
        language: info.language,
        occurrences,
        divisions,
      },
    },
  };
}

function shortTitle(passage: Passage, before: Passage | undefined, language: string): string {
  const full = formatPassage(passage, language);
  if (before?.from.book !== passage.from.book) return full;
  return full.slice(nameForReference(passage.from.book, language).length + 1);
}
