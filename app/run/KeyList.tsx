import { AIR_ACTIONS, type AirAction, type KeyMap, keysOf, nameOfKey } from "../../core/keys/keyMap.ts";
import { t } from "../../core/language/t.ts";

const SHORT: readonly (readonly [actions: readonly AirAction[], words: string])[] = [
  [["dissolve"], t`dissolve`],
  [["armNext", "armBefore"], t`arm`],
  [["armNextCue", "armCueBefore"], t`a cue`],
  [["back"], t`once more`],
  [["chorus"], t`chorus`],
  [["follow"], t`follow`],
  [["send"], t`send`],
  [["goOn"], t`go on`],
  [["hold"], t`hold`],
  [["edit"], t`edit`],
  [["stageNote"], t`to the stage`],
  [["standBy"], t`stand-by`],
  [["lock"], t`lock`],
];

/** The keys that no button shows, always in sight; the others stand on their buttons. */
export function KeyList({ map }: { map: KeyMap }) {
  return (
    <section aria-label={t`Keys`} className="border-t border-edge px-4 py-1.5">
      <dl className="flex flex-wrap gap-x-3 gap-y-0.5 text-[14px]">
        {SHORT.map(([actions, words]) => (
          <div
            key={words}
            title={actions.map((action) => AIR_ACTIONS[action].name).join(", ")}
            className="flex items-center gap-1.5"
          >
            <dt className="flex shrink-0 items-center gap-1">
              {actions.flatMap((action) => {
                const [key] = keysOf(map, action);
                return key === undefined ? [] : [<kbd key={key}>{nameOfKey(key)}</kbd>];
              })}
            </dt>
            <dd className="text-second">{words}</dd>
          </div>
        ))}
        <div className="flex items-center gap-1.5">
          <dt>
            <kbd>F</kbd>
          </dt>
          <dd className="text-second">{t`find`}</dd>
        </div>
      </dl>
    </section>
  );
}
