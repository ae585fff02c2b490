import { t } from "../../../language/t.ts";
import { chordLineStrength } from "../../chords.ts";
import { foldWords } from "../../foldWords.ts";
import type { Weigh } from "../candidate.ts";
import { isCreditLine, looksLikeNames } from "../creditLine.ts";
import type { PlacedLine } from "../facts.ts";
import { readTitle } from "../titleLine.ts";
import { weighKey } from "./key.ts";
import { weighNote } from "./note.ts";
import { weighOrder } from "./order.ts";

const LONGEST = 80;
const LATEST = 12;

/** The first line, where it stands alone, or above a label, the authors or the key; a line that says "Title:". */
export const weighTitle: Weigh = (line, song) => {
  if (line.index > LATEST && !/[:=–—-]/.test(line.text)) return undefined;
  const { title, isNamed } = readTitle(line.text);
  // A title stands above the song, after a few lines of a mail at most.
  if (!isNamed && line.index > LATEST) return undefined;
  if (isNamed) return { kind: "title", weight: 13, why: t`says that it is the title` };
  if (title === "" || title.length > LONGEST || !/[\p{L}\p{N}]/u.test(title)) return undefined;
  const next = song.lines[line.index + 1];
  if (!next) return undefined;
  const isGiven = song.givenTitle !== "" && foldWords(title) === foldWords(song.givenTitle);
  const mails = song.lines.slice(line.index - line.placeInStanza, line.index);
  const opens = mails.every((each) => (weighNote(each, song)?.weight ?? 0) > 8);
  const alone = line.blankAfter && opens;
  const third = song.lines[line.index + 2];
  const isSigned =
    (!alone && opens && line.index === 0 && looksLikeNames(next.text) && third?.label?.behind === "") ||
    (!alone &&
      opens &&
      line.stanzaLength - line.placeInStanza <= 3 &&
      looksLikeNames(next.text) &&
      song.stanzas > 1 &&
      !looksLikeNames(third?.text ?? ""));
  const above =
    !alone &&
    !line.blankAfter &&
    ((next.label !== undefined &&
      (next.label.behind === "" || next.label.colon) &&
      (next.label.short === null || next.label.number !== "")) ||
      next.verse !== undefined ||
      isSigned ||
      isCreditLine(next.text) ||
      weighKey(next, song) !== undefined ||
      weighOrder(next, song) !== undefined);
  const underlined = !line.blankAfter && /^[=\-_~*]{3,}$/.test(next.typed.trim());
  let weight = 0;
  let why = "";
  if (isGiven) {
    weight = alone || above ? 12 : 5.5;
    why = t`is the title that was typed`;
  } else if (alone) {
    weight = 9;
    why = t`stands alone above the song`;
  } else if (above || underlined) {
    weight = 8;
    why = t`stands right above the song`;
  } else if (opens && line.stanzaLength - line.placeInStanza === 2 && isLabelAfter(third)) {
    weight = 7;
    why = t`stands above the first label, apart from the song`;
  } else if (line.isHeading) {
    weight = 8;
    why = t`is marked as a heading`;
  } else if (line.isBold && !next.isBold) {
    weight = 6;
    why = t`is the only line in bold`;
  } else if (isLoud(title) && !song.isShouted && !isLoud(next.text)) {
    weight = 6;
    why = t`is the only line in capitals`;
  } else return undefined;
  if (/[,;:]$/.test(line.text)) weight -= 4;
  if (line.text.length > 60) weight -= 3;
  if (line.text.split(" ").length > 10) weight -= 2;
  if (line.label && line.label.behind === "" && line.label.short === null) weight -= 8;
  if (chordLineStrength(line.typed) === 2) weight -= 12;
  if (line.verse) weight -= 6;
  // Where every stanza is one line, a line alone says nothing.
  if (alone && song.stanzas > 3 && song.stanzas >= song.lines.length * 0.8) weight -= 3;
  return { kind: "title", weight, why };
};

const isLabelAfter = (line: PlacedLine | undefined) =>
  line?.label !== undefined &&
  line.label.behind === "" &&
  (line.label.short === null || line.label.number !== "");
const isLoud = (text: string) => /\p{Lu}{2}/u.test(text) && !/\p{Ll}/u.test(text);
