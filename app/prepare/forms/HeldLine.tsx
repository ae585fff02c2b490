import { t } from "../../../core/language/t.ts";
import { type PageContent, wornIn } from "../../../core/rundown/content.ts";
import { pagesOn } from "../../../core/show/layers.ts";
import type { ShowState } from "../../../core/show/state.ts";
import { useDeskStore } from "../../desk/deskContext.ts";
import type { DeskCue } from "../../desk/deskCues.ts";

/** The layers on which a cue is now, with the contents it was taken with. */
export function onAirOf(
  state: ShowState,
  cueId: string,
  atMs: number,
): { layerId: string; content: string }[] {
  return state.layers.flatMap(({ id }) =>
    [...pagesOn(state, id, atMs).values()].flatMap((page) =>
      page?.cueId === cueId ? [{ layerId: id, content: page.content }] : [],
    ),
  );
}

/**
 * A cue on air stays as it was taken: its edits are held until they are sent. One whose saves are sent keeps the style and the
 * templates that it was taken with.
 */
export function HeldLine({
  cue,
  onAir,
  isSaved,
  onSend,
}: {
  cue: DeskCue;
  onAir: readonly { readonly content: string }[];
  isSaved: boolean;
  onSend: () => void;
}) {
  const store = useDeskStore();
  if (onAir.length === 0) return null;
  const { isLive } = cue.view.doc;
  const now = cue.ready?.content;
  const isHeld = isLive
    ? onAir.some(({ content }) => now && !isDressedAlike(store.findContent(content), now))
    : !isSaved || onAir.some(({ content }) => content !== cue.ready?.hash);
  const atRest = isLive ? t`every save goes on air` : t`as it stands here`;
  return (
    <p className="flex items-center gap-3 text-[15px]">
      <span className="rounded bg-air px-2 font-bold text-on-bright">{t`ON AIR`}</span>
      {isHeld ? (
        <>
          <span className="text-attention">○ {isLive ? t`the new style is held` : t`edits are held`}</span>
          <button
            type="button"
            onClick={onSend}
            className="flex min-h-9 items-center gap-2 rounded-md bg-next px-3 font-bold text-on-bright"
          >
            {t`Send`} <kbd className="border-on-bright/40! bg-transparent! text-on-bright!">Ctrl+Shift+S</kbd>
          </button>
        </>
      ) : (
        <span className="text-second">{atRest}</span>
      )}
    </p>
  );
}

const isDressedAlike = (one: PageContent | undefined, other: PageContent): boolean =>
  one !== undefined && wornIn(one).sort().join() === wornIn(other).sort().join();
