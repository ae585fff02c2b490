import { type KeyboardEvent, useRef } from "react";
import { t } from "../../core/language/t.ts";
import { type Offer, offersFor } from "../../core/words/reader/offers.ts";
import type { SongReading } from "../../core/words/reader/readSong.ts";
import { type Told, type ToldKind, tellLine } from "../../core/words/reader/told.ts";
import { OfferLine } from "./OfferLine.tsx";
import { ReviewRow } from "./ReviewRow.tsx";
import { KIND_KEYS } from "./toldNames.ts";

/** A pasted song as it was understood, line by line; any line can be made something else with one press. */
export function SongReview({
  text,
  reading,
  told,
  onTell,
  onAccept,
}: {
  text: string;
  reading: SongReading;
  told: readonly Told[];
  onTell: (told: Told[]) => void;
  onAccept: (offer: Offer) => void;
}) {
  const rows = useRef<HTMLUListElement>(null);
  const { song, lines, variants, doubtful } = reading;
  const { writers, publisher, year, number, publicDomain } = song.credits;
  const credit = [
    writers,
    publicDomain ? t`Public domain` : [year && `© ${year}`, publisher].filter(Boolean).join(" "),
    number && t`song no. ${number}`,
  ]
    .filter(Boolean)
    .join(" · ");
  const noteOf = (key: string) => {
    const variant = variants.find((each) => each.key === key);
    return (
      variant && t`like ${variant.of}, but for ${variant.words === 1 ? t`1 word` : t`${variant.words} words`}`
    );
  };
  const tell = (index: number, kind: ToldKind) => onTell(tellLine(told, lines, index, kind));
  const move = (event: KeyboardEvent<HTMLUListElement>) => {
    if (event.ctrlKey || event.altKey || event.metaKey) return;
    const row = (event.target as HTMLElement).closest<HTMLElement>("[data-line]");
    if (!row) return;
    const all = [...(rows.current?.querySelectorAll<HTMLElement>("[data-line]") ?? [])];
    const at = all.indexOf(row);
    const to = { ArrowDown: at + 1, ArrowUp: at - 1, Home: 0, End: all.length - 1 }[event.key];
    if (to !== undefined) {
      event.preventDefault();
      all[to]?.focus();
      return;
    }
    const kind = KIND_KEYS.get(event.key.toLowerCase());
    if (!kind) return;
    event.preventDefault();
    tell(Number(row.dataset.line), kind);
  };
  let shown: string | undefined;
  return (
    <section
      aria-label={t`The song as it was understood`}
      className="mt-2 flex min-h-0 flex-col rounded-lg border border-edge bg-ground"
    >
      <header className="flex flex-wrap items-baseline gap-x-4 gap-y-1 border-b border-edge px-4 py-2.5">
        <h3 className="font-words text-[20px] leading-tight font-bold">{song.title}</h3>
        <p className="text-[14px] text-second">{credit}</p>
        <p data-order className="ml-auto font-mono text-[15px]">
          {song.order.join(" ")}
        </p>
        {doubtful > 0 && (
          <p className="w-full text-[14px] text-attention">
            {doubtful === 1
              ? t`One line is doubtful: it is marked.`
              : t`${doubtful} lines are doubtful: they are marked.`}
          </p>
        )}
      </header>
      {offersFor(text, reading).map((offer) => (
        <OfferLine key={offer.kind} offer={offer} onAccept={() => onAccept(offer)} />
      ))}
      <ul
        ref={rows}
        onKeyDown={move}
        className="max-h-[40vh] min-h-0 overflow-y-auto py-1.5 max-[1100px]:max-h-[24vh]"
      >
        {lines.map((line) => {
          const begins = line.section !== undefined && line.section !== shown;
          if (line.section !== undefined) shown = line.section;
          else if (line.kind !== "chords" && line.kind !== "tab") shown = undefined;
          return (
            <ReviewRow
              key={line.index}
              line={line}
              mark={begins ? (line.section ?? "") : ""}
              note={begins && line.section !== undefined ? noteOf(line.section) : undefined}
              isFirst={line.index === 0}
              onTell={(kind) => tell(line.index, kind)}
            />
          );
        })}
      </ul>
    </section>
  );
}
