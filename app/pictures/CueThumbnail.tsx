import { useMemo } from "react";
import { t } from "../../core/language/t.ts";
import type { Anchor } from "../../core/rundown/anchor.ts";
import type { PageContent } from "../../core/rundown/content.ts";
import { canvasOf, type Output, type ScreenPlan } from "../../core/venue/plan.ts";
import { countsDown } from "../desk/countsDown.ts";
import { useDesk, useReading } from "../desk/deskContext.ts";
import { useLiveValues } from "../desk/useLiveValues.ts";
import standIn from "../live/standInPicture.svg";
import { useThrottled } from "../ui/useThrottled.ts";
import { stillAddress } from "./stillAddress.ts";

const WIDTH_PX = 128;

interface Props {
  content: PageContent;
  cueId: string;
  hash: string;
  anchor: Anchor;
  outputs: readonly Output[];
  plan: ScreenPlan;
}

/** The true picture of a page at a step, small, as the server paints it: on the first output that shows it; of a part of a wall, the wall. */
export function CueThumbnail(props: Props) {
  const { fieldSets } = useDesk("fieldSets");
  if (props.content.live) return <Filled {...props} />;
  return countsDown(props.content, fieldSets) ? (
    <MinuteByMinute {...props} />
  ) : (
    <Thumbnail {...props} minute={null} />
  );
}

const MinuteByMinute = (props: Props) => (
  <Thumbnail {...props} minute={useReading((nowMs) => Math.floor(nowMs / 60_000))} />
);

/** What feeds fill is asked for anew when it is other, but not many times in a second. */
function Filled(props: Props) {
  const live = useLiveValues(props.cueId, props.content, props.hash);
  const stamp = useMemo(() => stampOf(JSON.stringify(live)), [live]);
  const shown = useThrottled(stamp, ASKED_EVERY_MS);
  return <Thumbnail {...props} minute={null} values={shown} />;
}
const ASKED_EVERY_MS = 1_000;

/** Short, and another for other words: FNV-1a, 32 bits. */
function stampOf(text: string): string {
  let hash = 0x811c9dc5;
  for (let i = 0; i < text.length; i++) hash = Math.imul(hash ^ text.charCodeAt(i), 0x01000193);
  return (hash >>> 0).toString(36);
}

function Thumbnail({
  content,
  cueId,
  hash,
  anchor,
  outputs,
  plan,
  minute,
  values,
}: Props & {
  /** It is asked for anew with each. */
  minute: number | null;
  /** The same, of what fills it. */
  values?: string;
}) {
  const output = outputs.find(({ id }) => {
    const outfitId = plan.outputs[id]?.outfitId;
    return outfitId !== undefined && content.wardrobe[outfitId] !== undefined;
  });
  if (!output) return null;
  const { widthPx, heightPx } = canvasOf(output);
  const isTall = heightPx > widthPx;
  const width = isTall ? Math.round((72 * widthPx) / heightPx) : WIDTH_PX;
  const page = { cueId, content: hash, step: anchor };
  return (
    <img
      src={stillAddress(page, output, width * 2, {
        isWholeWall: true,
        minute,
        ...(values !== undefined && { values }),
      })}
      alt={t`${content.title} on ${output.name}`}
      width={width}
      height={Math.round((width * heightPx) / widthPx)}
      loading="lazy"
      decoding="async"
      className="block shrink-0 rounded border border-edge forced-color-adjust-none"
      style={{
        background: output.backdrop === "opaque" ? "#000" : `#3a3330 url(${standIn}) center / cover`,
      }}
    />
  );
}
