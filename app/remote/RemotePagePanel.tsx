import { t } from "../../core/language/t.ts";
import type { RemoteTold, RemoteView } from "../../core/remote/remoteView.ts";
import { StillOfPage } from "./StillOfPage.tsx";

const MARKS = {
  now: { frame: "border-l-8 border-air", word: t`ON AIR`, color: "text-air" },
  left: { frame: "border-l-8 border-edge-strong", word: t`HAS LEFT`, color: "text-second" },
  next: { frame: "border-l-8 border-dashed border-next", word: t`NEXT`, color: "text-next" },
} as const;

/** What is on air, or next: its words, its picture, and the note beside it. */
export function RemotePagePanel({
  kind,
  page,
  isLarge,
  token,
  screen,
  others = [],
}: {
  kind: "now" | "next";
  page: RemoteView["now"] | RemoteView["next"];
  isLarge: boolean;
  token: string;
  screen: RemoteTold["screen"];
  others?: RemoteView["others"];
}) {
  const hasLeft = kind === "now" && page !== null && "isOnAir" in page && !page.isOnAir;
  const mark = MARKS[hasLeft ? "left" : kind];
  return (
    <section
      aria-label={kind === "now" ? t`On air` : t`Next`}
      className={`flex min-h-0 flex-col gap-1.5 overflow-hidden rounded-r-lg bg-raised py-2 pr-3 pl-3 ${mark.frame} ${kind === "next" || isLarge ? "flex-1" : "flex-none"}`}
    >
      <div className="flex items-start justify-between gap-3">
        <p className="min-w-0 text-[14px]">
          <strong className={mark.color}>{mark.word}</strong>
          <span className="ml-2 text-second">
            {page ? [page.title, page.label].filter((text) => text !== "").join(" · ") : ""}
          </span>
        </p>
        {page && isLarge && <StillOfPage page={page} token={token} screen={screen} />}
      </div>
      <p
        className={`min-h-0 overflow-hidden font-words whitespace-pre-line ${kind === "next" && isLarge ? "text-[clamp(1.4rem,6.2vw,2.2rem)] leading-snug font-semibold" : "text-[18px] leading-snug"}`}
      >
        {page
          ? page.words || t`(nothing: the words leave)`
          : kind === "next"
            ? t`The end of the script.`
            : t`Nothing was taken yet.`}
      </p>
      {page && page.note !== "" && (
        <p className="flex-none truncate text-[15px] text-second">{t`Note: ${page.note}`}</p>
      )}
      {others.length > 0 && (
        <p className="flex-none truncate text-[14px] text-second">
          {t`Also on: ${others.map(({ layer, title }) => `${title} (${layer})`).join(", ")}`}
        </p>
      )}
    </section>
  );
}
