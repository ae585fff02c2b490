import { Users } from "lucide-react";
import { Popover } from "radix-ui";
import { Link } from "react-router";
import { t } from "../../core/language/t.ts";
import type { RemoteRight } from "../../core/remote/remoteLink.ts";
import type { DeskPresence } from "../../core/wire/wire.ts";
import { useDesk, useDeskStore } from "../desk/deskContext.ts";

const DOES: Readonly<Record<DeskPresence["mode"], string>> = {
  free: t`takes part`,
  locked: t`locked to take and out`,
  watching: t`only watches`,
};

const PHONE_MAY: Readonly<Record<RemoteRight, string>> = {
  look: t`only looks`,
  next: t`takes what is next`,
  all: t`takes and takes off`,
};

/** Who is at which desk, and what this one is called. */
export function Desks() {
  const store = useDeskStore();
  const { desks, remotes } = useDesk("desks", "remotes");
  const count = desks.length;
  return (
    <Popover.Root>
      <Popover.Trigger className="flex min-h-7 items-center gap-1.5 rounded-md border border-edge-strong bg-raised px-2 hover:text-paper">
        <Users aria-hidden="true" className="size-4" />
        {count} {count === 1 ? t`desk` : t`desks`}
        {remotes.length > 0 && `, ${remotes.length} ${remotes.length === 1 ? t`phone` : t`phones`}`}
      </Popover.Trigger>
      <Popover.Portal>
        <Popover.Content
          align="end"
          sideOffset={6}
          data-own-keys="desks"
          className="z-30 flex w-80 flex-col gap-3 rounded-lg border border-edge-strong bg-raised p-4 text-[15px] shadow-xl"
        >
          <h3 className="font-semibold">{t`Desks that are open`}</h3>
          <ul className="flex flex-col gap-1.5">
            {desks.map(({ windowId, name, mode, channel }) => (
              <li key={windowId} className="flex items-baseline justify-between gap-3">
                <span className="truncate">
                  {name}
                  {windowId === store.windowId && <span className="text-second">{t`, this one`}</span>}
                </span>
                <span className="shrink-0 text-[14px] text-second">
                  {channel === "rehearsal" ? t`rehearses` : DOES[mode]}
                </span>
              </li>
            ))}
          </ul>
          {remotes.length > 0 && (
            <>
              <h3 className="font-semibold">{t`Phones`}</h3>
              <ul aria-label={t`Phones`} className="flex flex-col gap-1.5">
                {remotes.map(({ windowId, name, can }) => (
                  <li key={windowId} className="flex items-baseline justify-between gap-3">
                    <span className="truncate">{name}</span>
                    <span className="shrink-0 text-[14px] text-second">{PHONE_MAY[can]}</span>
                  </li>
                ))}
              </ul>
              <Link to="/phones" className="text-act hover:underline">
                {t`Change or end one`}
              </Link>
            </>
          )}
          <label className="flex flex-col gap-1 text-second">
            {t`Name of this desk`}
            <input
              defaultValue={store.name}
              maxLength={40}
              placeholder={t`Balcony, Ilse`}
              onBlur={({ target }) => store.setName(target.value)}
              onKeyDown={(event) => event.key === "Enter" && event.currentTarget.blur()}
              className="min-h-9 rounded-md border border-edge-strong bg-ground px-2 text-paper placeholder:text-quiet"
            />
          </label>
        </Popover.Content>
      </Popover.Portal>
    </Popover.Root>
  );
}
