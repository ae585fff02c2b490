import { t } from "../../../language/t.ts";
import type { Weigh } from "../candidate.ts";

const NAMED =
  /^(?:(?:original |male |female |play )?key|capo|tempo|bpm|time(?: signature)?|meter|metre|tuning|strumming(?: pattern)?|strum|rhythm|duration|length|style|feel|speed|difficulty|tonart|takt(?:art)?|kapo|tono|tonalidad|cejilla|compás|ritmo|tonalité|rythme|mesure|tonalità|tonalidade|tom|compasso|toonsoort|maat|tonart|taktart|tonacja|metrum|тональность|темп|тональність|каподастр|סולם|قُفل|キー|テンポ|키|调|調)\s*(?:of\b|on\b|in\b|[:=#.]|(?=\d)|(?=fret)|\s(?=[A-H][#b]?m?\b))\s*(.{1,60})$/iu;
const TEMPO = /^(?:[♩♪𝅘𝅥]\s*\.?\s*=\s*\d{2,3}|\d{2,3}\s*bpm|~?\d{2,3}\s*beats.*|bpm\s*\d{2,3})$/iu;
const METRE = /^\(?(?:[2-9]|12)\/(?:2|4|8|16)(?: time)?\)?$/i;
const IN_KEY =
  /^\(?(?:in|key:?) (?:the key of )?[A-H](?:[#b♯♭]|is|es| flat| sharp)?(?: ?(?:major|minor|maj|min|m|dur|moll))?\)?$/i;
const HYMN_METRE =
  /^\(?(?:[CLS]\.? ?M\.? ?D?\.?|(?:\d{1,2}[.\s]){2,}\d{1,2}\.?(?: ?D\.?)?(?: with refrain)?)\)?$/i;
/** The name of a hymn's tune, in capitals, before its metre. */
const TUNE = /^\p{Lu}[\p{Lu}’' ]+,?\s+(?=[\dCLS(])/u;

/** A hymn's metre stands at its head. */
const LATEST_METRE = 8;
/** "1 2 3 4" is sung. */
const isCounting = (text: string) => {
  const numbers = text.match(/\d+/g)?.map(Number) ?? [];
  return (
    numbers.length > 2 && numbers.every((number, i) => i === 0 || number === (numbers[i - 1] as number) + 1)
  );
};

/** Key, tempo, metre, capo: for players, not for walls. */
export const weighKey: Weigh = ({ text, index }) => {
  const parts = text.split(/\s+[|·•–-]\s+|\s*;\s*|,\s+/);
  const isOne = (part: string) =>
    NAMED.test(part) ||
    TEMPO.test(part) ||
    METRE.test(part) ||
    IN_KEY.test(part) ||
    (index < LATEST_METRE && !isCounting(part) && HYMN_METRE.test(part.replace(TUNE, "")));
  if (parts.every(isOne) || (NAMED.test(text) && text.length < 50 && !/[.!?]$/.test(text)))
    return { kind: "key", weight: 10, why: t`is for the players: key, tempo or metre` };
  return undefined;
};
