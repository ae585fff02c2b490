import { t } from "../../../language/t.ts";
import type { Weigh } from "../candidate.ts";
import { type PlacedLine, SIGNATURE } from "../facts.ts";
import { isManner } from "../label.ts";

const MAIL =
  /^(?:sent from (?:my|mail).*|get (?:the )?\w+ for (?:ios|android|windows)|gesendet von.*|von meinem .* gesendet|enviado desde.*|envoyé de(?:puis)? mon.*|inviato da.*|verzonden vanaf.*|skickat från.*|sendt fra.*|wysłano z.*|отправлено с|надіслано з|begin forwarded message|-{2,}\s*(?:forwarded|original|weitergeleitete|ursprüngliche|mensaje).*|on .{6,80} wrote:|am .{6,80} schrieb.*:|el .{6,80} escribió:|le .{6,80} a écrit.*:|(?:from|sent|to|cc|bcc|subject|date|von|gesendet|an|betreff|de|para|asunto|fecha|objet|à):\s+\S.*|this (?:e-?mail|message) .*confidential.*|unsubscribe.*)$/i;
const GREETS =
  /^(?:hi|hello|hey|hiya|greetings|dear|(?:good )?(?:morning|evening|afternoon)(?= all| team| every|,|!)|good (?:morning|evening|afternoon)|hallo|liebe[rs]?|guten (?:morgen|tag|abend)|hola|buenos días|buenas|querid[oa]s?|bonjour|salut|cher|chère|ciao|caro|cara|olá|oi|hej|kjære|kära|kochani|cześć|привет|здравствуйте|привіт|вітаю)(?:\s+(?:all|team|everyone|everybody|folks|there|again|zusammen|a todos|todos|tous|à tous|allemaal|alla|alle|\p{Lu}\p{L}+))*\s*[,!.–-]*$/iu;
const CLOSES =
  /^(?:cheers|ta|thanks?(?: you)?(?: so much)?|many thanks|thx|(?:kind |best |warm )?regards|best(?: wishes)?|blessings?|god bless|love|see you (?:on )?\w+|yours(?: \w+)?|(?:viele |liebe |herzliche |beste )?grüße|lg|vlg|saludos|un abrazo|bendiciones|gracias|(?:bien |très )?cordialement|bien à (?:vous|toi)|amitiés|amicalement|merci|bisous|un saluto|saluti|un abbraccio|con affetto|cordiali saluti|grazie|abraços?|obrigad[oa]|groetjes|groeten|hälsningar|hilsen|pozdrawiam|с уважением|спасибо|з повагою|дякую)\s*(?:[,!.…–-]\s*\p{L}+(?:\s\p{L}+)?)?[,!.…–-]*$/iu;
/** The last line of a hurried mail: "thx ilse". */
const THANKS =
  /^(?:thx|thanks|ta|ty|tks|cheers|blessings|lg|vlg|danke|gracias|saludos|merci|grazie|abraços?|groetjes)[,!]?\s+\p{L}+[.!]*$/iu;
const ABOUT =
  /(?<!\p{L})(?:here(?:’|'| i)?s|here are|attached|below (?:are|is)|please|can you|could you|for (?:this |next )?sunday|let me know|we(?:’|'| wi)ll sing|hier (?:ist|sind)|anbei|im anhang|für sonntag|aquí (?:está|va|tienes)|te mando|para el domingo|voici|ci-joint|pour dimanche|ecco|per domenica|segue|para domingo|hier is|voor zondag|вот|ось)(?!\p{L})/iu;
/** What someone says of the singing, under the song. */
const TALKS =
  /^(?:we|i|you|please|note|can|could|then we|after that|wir|bitte|nosotros|por favor|nous|nota)\b.*\b(?:chorus|verse|bridge|refrain|slides?|intro|strophe|coro|estrofa|couplet)\b/iu;
/** Facts about a recording, and when each of its lines comes, in files that follow one. */
const FILE_FACT =
  /^\[(?:ar|al|by|au|re|ve|la|offset|length|tool):.*\]$|^(?:\d{1,2}:)?\d{1,2}:\d{2}[.,]\d{1,3}\s*-->\s*(?:\d{1,2}:)?\d{1,2}:\d{2}[.,]\d{1,3}.*$/i;
const FROM_ALBUM =
  /^[([]?(?:from|aus|del?|dal|van|z)\s+(?:the |dem |der |das |la |el |l['’])?(?:album|musical|film|movie|show|cd|record|ep|disco|álbum|płyty)\b/iu;
/** What players do meanwhile, in brackets. */
const DIRECTION =
  /^[([](?=.*\b(?:bands?|bars|guitars?|drums?|keys|piano|organ|key change|modulat\w*|instrumental|solo|announcements?)\b)[^()[\]]{3,60}[)\]]$/i;
const PAGE =
  /^(?:page|slide|folie|dia|diapositiv[ae]|lámina|seite|página|pagina|p\.|pg\.?|sida|side|strona|стр\.?)\s*\d{1,3}(?:\s*(?:of|\/|von|de|van|av|z|из)\s*\d{1,3})?$|^.{1,60}\s[–—|-]\s*(?:page|seite|página|pagina|p\.)\s*\d{1,3}(?:\s*(?:of|\/|von|de)\s*\d{1,3})?$|^[–—-]\s*\d{1,3}\s*[–—-]$|^\d{1,3}\s*\/\s*\d{1,3}$/iu;
const WEB =
  /^(?:(?:https?:\/\/|www\.)\S+.*|\S+@\S+\.\S+|(?:song )?lyrics:?|songtext:?|letras?:?|paroles:?|print(?: this)?(?: page)?|share(?: this)?(?: song)?|copy(?: lyrics)?|download(?: .*)?|advertisement|anzeige|publicidad|view (?:all|more).*|[\d,.]+ ?k? views?|\d+ comments?|comments? ?\(\d+\)|rate this.*|submit (?:corrections?|lyrics).*|you (?:may|might) also like.*|\d*embed|translations?|report a problem.*|add to favou?rites|transcribed by .*|posted (?:by|on) .*|last (?:updated|modified).*|source:.*|quelle:.*|fuente:.*|back to top|click here.*|more (?:songs|lyrics).*|watch (?:the )?video.*|[^:]{0,30}:?\s*(?:https?:\/\/|www\.)\S+|(?:#[\p{L}\d_]+\s*)+|contributors?.*|subscribe.*|cookie.*)$/iu;
const WEB_WORDS =
  /^(?:(?:home|songs?|lyrics|artists?|index|start)\s[>»›/]\s.{1,80}|menu|home|search|play(?: song)?|listen(?: now)?|log ?in|sign (?:in|up)|next|previous|contact)$/i;
const MANNERS = /^(?:[([]\s*(.{2,40}?)\s*[)\]]|(.{2,30}?):?)$/u;

/** A usual close of a letter; where one was greeted, any short line with a comma after a blank one. */
const closes = ({ text, blankBefore }: PlacedLine, lines: readonly PlacedLine[]): boolean =>
  CLOSES.test(text) ||
  (blankBefore &&
    /^[^.?]{2,24},$/.test(text) &&
    text.split(" ").length <= 3 &&
    lines.slice(0, 3).some((each) => GREETS.test(each.text)));

/** What belongs to a mail, a web page or a sheet and not to the song: greetings, signatures, addresses, page numbers. */
export const weighNote: Weigh = (line, { lines, signatureAt }) => {
  const { text, index } = line;
  const opening = lines[0];
  const isUnderTitle = index === 1 && line.stanza === 0 && line.stanzaLength === 2 && opening !== undefined;
  if (isUnderTitle && lines[2]?.label && lines[2].label.behind === "" && !opening.label)
    return { kind: "note", weight: 6, why: t`stands under the title`, zones: ["head"] };
  const isLast = index > lines.length * 0.6;
  if (index < 6 && FROM_ALBUM.test(text))
    return { kind: "note", weight: 10, why: t`says where it was published`, zones: ["top", "head"] };
  if (FILE_FACT.test(text)) return { kind: "note", weight: 12, why: t`is a fact about a recording` };
  if (MAIL.test(text)) return { kind: "note", weight: 11, why: t`belongs to a mail` };
  if (WEB.test(text)) return { kind: "note", weight: 9, why: t`belongs to a web page` };
  if (WEB_WORDS.test(text) && line.stanzaLength === 1)
    return {
      kind: "note",
      weight: text.length > 12 ? 10 : 6,
      why: t`belongs to a web page`,
      zones: ["top", "foot"],
    };
  if (PAGE.test(text) || PAGE.test(line.typed.trim()))
    return { kind: "note", weight: 9, why: t`is a page number` };
  if (SIGNATURE.test(line.typed)) return { kind: "note", weight: 10, why: t`begins a signature` };
  if (GREETS.test(text) && index < 3)
    return { kind: "note", weight: 10, why: t`is a greeting`, zones: ["top"] };
  const close = lines
    .slice(Math.max(0, index - 3), index)
    .findLast((each) => each.index > lines.length * 0.6 && closes(each, lines));
  if (isLast && closes(line, lines) && index >= lines.length - 4)
    return { kind: "note", weight: 8, why: t`closes a letter`, zones: ["foot"] };
  if (THANKS.test(text) && index === lines.length - 1)
    return { kind: "note", weight: 8, why: t`closes a letter`, zones: ["foot"] };
  if (close && text.split(" ").length <= 4)
    return { kind: "note", weight: 7, why: t`signs a letter`, zones: ["foot"] };
  if (signatureAt !== undefined && signatureAt < index)
    return { kind: "note", weight: 8, why: t`stands in a signature`, zones: ["foot"] };
  if (
    ABOUT.test(text) &&
    text.split(/\s+/).length >= 4 &&
    index < 4 &&
    line.stanzaLength <= 3 &&
    /[:.!?]$/.test(text)
  )
    return { kind: "note", weight: 9.5, why: t`speaks about the song`, zones: ["top"] };
  if (
    ABOUT.test(text) &&
    isLast &&
    line.blankBefore &&
    /\b(?:let me know|please|can you|could you|sunday|attached)\b/i.test(text)
  )
    return { kind: "note", weight: 6, why: t`speaks about the song`, zones: ["foot"] };
  if (TALKS.test(text) && isLast && line.blankBefore && line.stanzaLength === 1)
    return { kind: "note", weight: 6, why: t`speaks about the song`, zones: ["foot"] };
  if (DIRECTION.test(text) && line.stanzaLength === 1)
    return { kind: "note", weight: 7, why: t`says what players do`, zones: ["top", "head", "body", "foot"] };
  const manner = MANNERS.exec(text);
  const said = manner?.[1] ?? manner?.[2];
  if (said && isManner(said) && (manner?.[1] !== undefined || /:$/.test(text)))
    return { kind: "note", weight: 8, why: t`says who sings, or how`, zones: ["body"] };
  // A lone number between two stanzas, where numbers do not count verses.
  if (/^\d{1,3}$/.test(text) && line.stanzaLength === 1 && !line.verse)
    return { kind: "note", weight: 6, why: t`is a page number` };
  return undefined;
};
