import { History } from "lucide-react";
import { Popover } from "radix-ui";
import { useEffect, useState } from "react";
import type { DesignState, VersionTold } from "../../../core/design/designEdit.ts";
import type { DesignKindName } from "../../../core/design/designKinds.ts";
import { t } from "../../../core/language/t.ts";
import { ask } from "../../api/call.ts";
import { useLocale } from "../../desk/useLocale.ts";
import { formatDate } from "../../ui/format.ts";

/** All versions, who made them and what was new in each; one is made the draft again with a press. */
export function Versions({
  kind,
  id,
  state,
  onRestore,
}: {
  kind: DesignKindName;
  id: string;
  state: DesignState;
  onRestore: (number: number) => void;
}) {
  const [isOpen, setOpen] = useState(false);
  return (
    <Popover.Root open={isOpen} onOpenChange={setOpen}>
      <Popover.Trigger
        aria-label={t`Versions`}
        title={t`Versions`}
        className="grid min-h-9 min-w-9 place-content-center rounded-md px-2 hover:bg-lifted"
      >
        <History aria-hidden="true" className="size-4.5" />
      </Popover.Trigger>
      <Popover.Portal>
        <Popover.Content
          align="end"
          sideOffset={6}
          className="z-30 flex max-h-[70vh] w-96 flex-col overflow-y-auto rounded-lg border border-edge-strong bg-raised p-4 shadow-xl"
        >
          <h2 className="mb-2 text-[16px] font-semibold">{t`Versions`}</h2>
          <List
            kind={kind}
            id={id}
            state={state}
            onRestore={(number) => {
              onRestore(number);
              setOpen(false);
            }}
          />
        </Popover.Content>
      </Popover.Portal>
    </Popover.Root>
  );
}

function List({
  kind,
  id,
  state,
  onRestore,
}: {
  kind: DesignKindName;
  id: string;
  state: DesignState;
  onRestore: (number: number) => void;
}) {
  const locale = useLocale();
  const [versions, setVersions] = useState<readonly VersionTold[]>();
  useEffect(() => {
    let gone = false;
    void ask("/design-versions", `?${new URLSearchParams({ kind, id })}`).then((answer) => {
      if (!gone) setVersions("value" in answer ? answer.value.versions : []);
    });
    return () => {
      gone = true;
    };
  }, [kind, id]);
  if (!versions) return <p className="text-[15px] text-second">{t`Looking…`}</p>;
  if (versions.length === 0)
    return (
      <p className="text-[15px] text-second">
        {t`It was never published. The first version is made by “Publish”.`}
      </p>
    );
  return (
    <ol className="flex flex-col gap-3">
      {versions.map(({ number, atMs, by, note, changes }) => (
        <li key={number} className="border-t border-edge pt-2">
          <p className="flex items-baseline gap-2 text-[15px]">
            <strong>{t`Version ${number}`}</strong>
            <span className="text-[14px] text-second">
              {formatDate(atMs, locale)}
              {WRITTEN.test(by) && ` · ${by}`}
            </span>
            {number === state.published && !state.isDraft ? (
              <span className="ml-auto text-[14px] text-act">{t`in use`}</span>
            ) : (
              <button
                type="button"
                onClick={() => onRestore(number)}
                className="ml-auto min-h-8 rounded-md bg-lifted px-3 text-[14px] hover:bg-edge"
              >
                {t`Back to this`}
                <span className="sr-only"> {t`version ${number}`}</span>
              </button>
            )}
          </p>
          {note && <p className="text-[15px]">{note}</p>}
          {changes.slice(0, MOST_SAID).map((sentence) => (
            <p key={sentence} className="text-[14px] text-second">
              {sentence}
            </p>
          ))}
          {changes.length > MOST_SAID && (
            <p className="text-[14px] text-second">{t`and ${changes.length - MOST_SAID} more`}</p>
          )}
        </li>
      ))}
    </ol>
  );
}

const MOST_SAID = 6;
/** A name that a person gave a desk, not what a window calls itself. */
const WRITTEN = /^(?!seed-of-show$)(?!.*[0-9a-f]{8}-)/;
