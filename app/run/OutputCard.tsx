import { ExternalLink } from "lucide-react";
import type { ReactNode } from "react";
import { t } from "../../core/language/t.ts";
import type { Output } from "../../core/venue/plan.ts";
import type { HealthFacts } from "../desk/outputHealth.ts";
import { useHealthFacts } from "../desk/useHealthFacts.ts";
import { cardWidth } from "../pictures/pictureSizes.ts";
import { TallyMark } from "../pictures/TallyMark.tsx";

/** One output: what is on air, what is next beside it, and how its screen does. */
export function OutputCard({
  output,
  outfitName,
  rehearsal,
  isHeld,
  isOnAir,
  hasNext,
  hidden,
  link,
  pictureWidthPx,
  now,
  next,
  onEnlarge,
}: {
  output: Output;
  outfitName: string;
  /** Whether this screen shows what is rehearsed, or goes on with the air. */
  rehearsal: "here" | "elsewhere" | null;
  /** It shows a page whose edits are held. */
  isHeld: boolean;
  isOnAir: boolean;
  /** Something comes next. */
  hasNext: boolean;
  /** Layers with something on air that the plan does not show here. */
  hidden: readonly string[];
  link: string;
  pictureWidthPx: number;
  now: ReactNode;
  next: ReactNode;
  onEnlarge: (what: "now" | "next") => void;
}) {
  const facts = useHealthFacts(output);
  const widthPx = cardWidth(pictureWidthPx);
  const isNarrow = widthPx < 220;
  const isShort = widthPx < 330;
  // What nobody sees is not on air, whatever is sent to it.
  const isSeen = isOnAir && !facts.isEmpty;
  return (
    <article style={{ width: widthPx }}>
      <h2 className={`mb-1 flex h-6 items-center gap-x-2 ${isNarrow ? "overflow-hidden" : ""}`}>
        <span className="shrink-0 text-[15px] font-semibold">{output.name}</span>
        {!isShort && (
          <span className="truncate text-[14px] text-second">
            {rehearsal === "here"
              ? t`shows the rehearsal`
              : rehearsal === "elsewhere"
                ? t`keeps the air`
                : `${outfitName.toLowerCase()}${output.backdrop === "transparent" ? t`, transparent` : ""}`}
          </span>
        )}
        {isHeld && !isNarrow && (
          <span
            title={t`Edits of what it shows are held`}
            className="shrink-0 text-[14px] font-semibold text-attention"
          >
            {t`○ held`}
          </span>
        )}
        <Health facts={facts} output={output} link={link} isNarrow={isNarrow} />
      </h2>
      <div className="flex items-end gap-2.5">
        <div
          className={`relative shrink-0 rounded-md border-2 p-0.5 ${isSeen ? (rehearsal === "here" ? "border-on-screen" : "border-air") : isOnAir ? "border-dashed border-attention" : "border-edge"}`}
          style={{ width: pictureWidthPx }}
        >
          <button
            type="button"
            aria-label={t`Enlarge ${output.name}`}
            className="block w-full"
            onClick={() => onEnlarge("now")}
          >
            {now}
          </button>
          {isHeld && isNarrow && (
            // On the picture: beside the name there is no room, and nothing may move when it comes.
            <Over className="top-1 left-1">
              ○<span className="sr-only"> {t`held`}</span>
            </Over>
          )}
          <TallyMark outputId={output.id} className="absolute top-1 right-1" />
          {hidden.length > 0 && (
            <Over
              className="inset-x-1 bottom-1 truncate"
              title={t`The plan does not show ${hidden.join(", ")} on this screen`}
            >
              {isShort ? t`no ${hidden.join(", ")}` : t`${hidden.join(", ")} on air, not shown here`}
            </Over>
          )}
          {facts.lateMs !== null && (
            <div aria-hidden="true" className="hatched pointer-events-none absolute inset-x-0 top-0 h-2.5" />
          )}
        </div>
        <button
          type="button"
          aria-label={t`Enlarge what is next on ${output.name}`}
          className={`shrink-0 rounded-md border-2 p-0.5 ${hasNext ? "border-dashed border-next" : "border-edge"}`}
          style={{ width: pictureWidthPx }}
          onClick={() => onEnlarge("next")}
        >
          {next}
        </button>
      </div>
    </article>
  );
}

function Over({ className, title, children }: { className: string; title?: string; children: ReactNode }) {
  return (
    <span
      title={title}
      className={`pointer-events-none absolute rounded bg-ground px-1 text-[14px] font-semibold text-attention ${className}`}
    >
      {children}
    </span>
  );
}

function Health({
  facts,
  output,
  link,
  isNarrow,
}: {
  facts: HealthFacts;
  output: Output;
  link: string;
  isNarrow: boolean;
}) {
  return (
    <span className={`ml-auto flex shrink-0 gap-2 ${isNarrow ? "items-center" : "items-baseline"}`}>
      <span
        title={facts.lines.join(", ")}
        className={`shrink-0 font-mono text-[14px] ${facts.isBad ? "font-semibold text-attention" : "text-second"}`}
      >
        {facts.word}
      </span>
      <a
        className="inline-flex min-h-6 items-center gap-1 rounded px-1 text-[14px] text-act hover:underline"
        href={link}
        target="_blank"
        rel="noopener noreferrer"
        title={
          output.backdrop === "transparent"
            ? t`Opens over a stand-in picture; without ?over=picture it is transparent`
            : undefined
        }
      >
        {!isNarrow && t`open`} <ExternalLink aria-hidden="true" className="size-3.5" />
        <span className="sr-only">
          {isNarrow && t`open`} {t`${output.name} in a window of its own`}
        </span>
      </a>
    </span>
  );
}
