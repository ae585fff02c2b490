import { Settings } from "lucide-react";
import { Popover } from "radix-ui";
import { useEffect, useState } from "react";
import { NavLink, useLocation } from "react-router";
import { t } from "../../core/language/t.ts";
import type { VenueLanguage } from "../../core/time/venueLanguage.ts";
import { call } from "../api/call.ts";
import { helpAt } from "../help/helpOfViews.ts";
import { openHelp } from "../help/openHelp.ts";
import {
  readAppearance,
  SCHEMES,
  SCRIPT_SCALES,
  type Scheme,
  type ScriptScale,
  setScheme,
  setScriptScale,
} from "../ui/appearance.ts";
import { fieldClass } from "../ui/Labelled.tsx";
import { LanguageSelect } from "../ui/LanguageSelect.tsx";
import { MENU } from "../views.ts";
import { useDesk, useDeskStore } from "./deskContext.ts";

const SCHEME_NAMES: Readonly<Record<Scheme, string>> = { dark: t`Dark`, light: t`Light` };
const SCALE_NAMES: Readonly<Record<ScriptScale, string>> = { 1: t`Usual`, 1.25: t`Large`, 1.5: t`Largest` };

/** What is set once and seldom looked at: keys, health, how the venue writes dates, how this desk looks. */
export function DeskMenu() {
  const { venue } = useDesk("venue");
  const { pathname } = useLocation();
  const store = useDeskStore();
  const [scheme, chooseScheme] = useState<Scheme>("dark");
  const [scale, chooseScale] = useState<ScriptScale>(1);
  useEffect(() => {
    const kept = readAppearance();
    chooseScheme(kept.scheme);
    chooseScale(kept.scale);
  }, []);
  const saveLanguage = async (language: VenueLanguage) => {
    const answer = await call("/venue-settings", { language });
    if ("problem" in answer) store.say("trouble", answer.problem.sentence);
  };
  return (
    <Popover.Root>
      <Popover.Trigger
        aria-label={t`Keys and settings`}
        className="grid size-9 place-content-center rounded-md text-second hover:bg-lifted hover:text-paper"
      >
        <Settings aria-hidden="true" className="size-5" />
      </Popover.Trigger>
      <Popover.Portal>
        <Popover.Content
          align="end"
          sideOffset={6}
          data-own-keys="settings"
          className="z-30 flex w-72 flex-col gap-3 rounded-lg border border-edge-strong bg-raised p-4 text-[15px] shadow-xl"
        >
          <Popover.Close asChild>
            <button
              type="button"
              className="flex min-h-9 items-center gap-3 rounded-md border border-edge-strong px-2 hover:bg-lifted"
              onClick={() => openHelp(helpAt(pathname))}
            >
              {t`Help with what is here`}
              <kbd className="ml-auto">F1</kbd>
            </button>
          </Popover.Close>
          <ul className="flex flex-col">
            {MENU.map(({ path, name }) => (
              <li key={path}>
                <Popover.Close asChild>
                  <NavLink
                    to={`/${path}`}
                    className="flex min-h-9 items-center rounded-md px-2 hover:bg-lifted aria-[current]:bg-lifted"
                  >
                    {name}
                  </NavLink>
                </Popover.Close>
              </li>
            ))}
          </ul>
          <div className="flex flex-col gap-1.5">
            <label htmlFor="venue-language" className="text-[14px] text-second">
              {t`Dates and times, on every desk`}
            </label>
            <LanguageSelect
              id="venue-language"
              chosen={venue.language}
              className={`${fieldClass} text-[15px]`}
              onChoose={(language) => void saveLanguage(language)}
            />
          </div>
          <Choice
            label={t`Colours of this desk`}
            options={SCHEMES.map((each) => ({ value: each, name: SCHEME_NAMES[each] }))}
            chosen={scheme}
            onChoose={(next) => {
              setScheme(next);
              chooseScheme(next);
            }}
          />
          <Choice
            label={t`Words of the script`}
            options={SCRIPT_SCALES.map((each) => ({ value: each, name: SCALE_NAMES[each] }))}
            chosen={scale}
            onChoose={(next) => {
              setScriptScale(next);
              chooseScale(next);
            }}
          />
        </Popover.Content>
      </Popover.Portal>
    </Popover.Root>
  );
}

function Choice<T extends string | number>({
  label,
  options,
  chosen,
  onChoose,
}: {
  label: string;
  options: readonly { readonly value: T; readonly name: string }[];
  chosen: T;
  onChoose: (value: T) => void;
}) {
  return (
    <fieldset className="flex flex-col gap-1.5">
      <legend className="mb-1 text-[14px] text-second">{label}</legend>
      <div className="flex gap-1.5">
        {options.map(({ value, name }) => (
          <button
            key={value}
            type="button"
            aria-pressed={value === chosen}
            onClick={() => onChoose(value)}
            className="min-h-9 flex-1 rounded-md border border-edge-strong px-2 aria-pressed:border-act aria-pressed:bg-act-ground aria-pressed:text-act"
          >
            {name}
          </button>
        ))}
      </div>
    </fieldset>
  );
}
