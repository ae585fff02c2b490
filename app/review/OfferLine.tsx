import { t } from "../../core/language/t.ts";
import type { Offer } from "../../core/words/reader/offers.ts";
import { languageName } from "../ui/languages.ts";

const HOW = { lines: t`line by line`, stanzas: t`stanza by stanza`, columns: t`side by side` } as const;
const SHOWN_LINES = 4;

/** Asks for one thing that may be made of a song, with what it would become. */
export function OfferLine({ offer, onAccept }: { offer: Offer; onAccept: () => void }) {
  const { question, answer, result } = wordsOf(offer);
  return (
    <div data-offer={offer.kind} className="border-b border-edge bg-raised px-4 py-2.5 text-[15px]">
      <p className="flex flex-wrap items-center gap-3">
        {question}
        <button
          type="button"
          onClick={onAccept}
          className="min-h-8 rounded-md bg-lifted px-3 text-paper hover:bg-edge"
        >
          {answer}
        </button>
      </p>
      {result}
    </div>
  );
}

/** What one of two texts says and the other does not: not the title and labels that both have. */
function ownLines(text: string, other: string): string[] {
  const shared = new Set(other.split("\n"));
  return text.split("\n").filter((line) => line !== "" && !shared.has(line));
}

function wordsOf(offer: Offer) {
  switch (offer.kind) {
    case "twoLanguages": {
      const [first, second] = offer.languages.map(
        (tag, i) => languageName(tag) || (i === 0 ? t`one language` : "another"),
      );
      return {
        question: t`Two languages stand here, ${HOW[offer.how]}: ${first} and ${second}. As it is, both are sung.`,
        answer: t`Make ${second} the second language`,
        result: (
          <div className="mt-2 grid grid-cols-2 gap-4">
            {[ownLines(offer.first, offer.second), ownLines(offer.second, offer.first)].map((lines, i) => (
              <p
                key={offer.languages[i]}
                className="font-words border-l-2 border-edge-strong pl-3 text-[16px] whitespace-pre-line"
                dir="auto"
              >
                {lines.slice(0, SHOWN_LINES).join("\n")}
                {lines.length > SHOWN_LINES && " …"}
              </p>
            ))}
          </div>
        ),
      };
    }
    case "syllables":
      return {
        question: t`The words are written in syllables.`,
        answer: t`Join them`,
        result: (
          <p className="font-words mt-1 text-[16px] text-second">
            {offer.example[0]} <span className="px-1.5">→</span>{" "}
            <span className="text-paper">{offer.example[1]}</span>
          </p>
        ),
      };
    case "refrain":
      return {
        question: t`The ${offer.label.toLowerCase()} stands once.`,
        answer: t`Sing it after every verse`,
        result: <p className="mt-1 font-mono text-[14px] text-second">{offer.order}</p>,
      };
  }
}
