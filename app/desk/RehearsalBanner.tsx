import { useDesk, useDeskStore } from "./deskContext.ts";

/** On every view of a desk that rehearses: the screens show the air, not this. */
export function RehearsalBanner() {
  const { channel } = useDesk();
  const store = useDeskStore();
  if (channel === "air") return null;
  return (
    <div role="status" className="hatched flex h-10 shrink-0 items-center justify-center gap-5 text-[16px]">
      <strong className="rounded bg-ground px-3 py-1">
        REHEARSAL: what is taken here is on no screen. The air goes on as it was.
      </strong>
      <button
        type="button"
        onClick={() => store.rehearse(false)}
        className="min-h-8 rounded-md bg-attention px-3 font-semibold text-on-bright"
      >
        Back to the air
      </button>
    </div>
  );
}
