import { Plus, ScanSearch, X } from "lucide-react";
import { useEffect, useState } from "react";
import { Link, useNavigate } from "react-router";
import { t } from "../../core/language/t.ts";
import type { FirstScreen, ScreenUse } from "../../core/rundown/firstSteps.ts";
import type { Template } from "../../core/scene/template.ts";
import { nearestVenueLanguage, type VenueLanguage } from "../../core/time/venueLanguage.ts";
import { call } from "../api/call.ts";
import type { ShownStyle } from "../api/loaded.ts";
import { StylePicker } from "../design/StylePicker.tsx";
import { useDeskStore, useDrawing } from "../desk/deskContext.ts";
import { NoticeBar } from "../desk/NoticeBar.tsx";
import { findMonitors } from "../ui/findMonitors.ts";
import { fieldClass, Labelled } from "../ui/Labelled.tsx";
import { LanguageSelect } from "../ui/LanguageSelect.tsx";

const USES: Readonly<
  Record<ScreenUse, { readonly name: string; readonly widthPx: number; readonly heightPx: number }>
> = {
  hall: { name: t`the room: large words`, widthPx: 1920, heightPx: 1080 },
  stream: { name: t`the stream: over the cameras`, widthPx: 1920, heightPx: 1080 },
  stage: { name: t`the stage: words and what comes next`, widthPx: 1280, heightPx: 720 },
  portrait: { name: t`the foyer: on end`, widthPx: 1080, heightPx: 1920 },
  ribbon: { name: t`a ribbon: wide and low`, widthPx: 1920, heightPx: 360 },
};
const USE_IDS = Object.keys(USES) as ScreenUse[];
const SHORT_NAMES: Readonly<Record<ScreenUse, string>> = {
  hall: t`Wall`,
  stream: t`Stream`,
  stage: t`Stage`,
  portrait: t`Foyer`,
  ribbon: t`Ribbon`,
};
const START: readonly FirstScreen[] = [screenFor("hall"), screenFor("stream")];
const MOST_SCREENS = 12;

function screenFor(use: ScreenUse): FirstScreen {
  const { widthPx, heightPx } = USES[use];
  return { name: SHORT_NAMES[use], widthPx, heightPx, use };
}

/** The first steps of a house: its name, how it looks, its screens; and an evening to begin with. */
export function WelcomeView({
  fresh,
  place: placeBefore,
  styles,
  wornStyleId,
  templates,
  texts,
}: {
  /** Nothing was done in the show yet. */
  fresh: boolean;
  place: string;
  styles: readonly ShownStyle[];
  wornStyleId: string;
  /** What stands for a style. */
  templates: readonly Template[];
  texts: readonly { readonly code: string; readonly name: string; readonly language: string }[];
}) {
  const store = useDeskStore();
  const drawing = useDrawing();
  const navigate = useNavigate();
  const [place, setPlace] = useState(placeBefore);
  const [language, setLanguage] = useState<VenueLanguage>("en-GB");
  useEffect(() => setLanguage(nearestVenueLanguage(navigator.language)), []);
  const [styleId, setStyleId] = useState(wornStyleId);
  const [screens, setScreens] = useState<readonly FirstScreen[]>(START);
  const [text, setText] = useState(texts[0]?.code ?? "");
  const [isBusy, setIsBusy] = useState(false);

  const change = (at: number, part: Partial<FirstScreen>) =>
    setScreens(screens.map((screen, index) => (index === at ? { ...screen, ...part } : screen)));
  const look = async () => {
    const found = await findMonitors();
    if ("why" in found) {
      store.say("word", t`${found.why} Or add the screens by hand; it takes a moment.`);
      return;
    }
    // The desk itself is on the first monitor, where there are others.
    const others = found.monitors.filter(({ isPrimary }) => !isPrimary);
    setScreens(
      (others.length > 0 ? others : found.monitors).map(({ width, height, devicePixelRatio }, index) => {
        const use = height > width ? "portrait" : width > height * 3 ? "ribbon" : "hall";
        const widthPx = Math.round(width * devicePixelRatio);
        const heightPx = Math.round(height * devicePixelRatio);
        return { ...screenFor(use), name: `${SHORT_NAMES[use]} ${index + 1}`, widthPx, heightPx };
      }),
    );
  };
  const make = async () => {
    setIsBusy(true);
    const answer = await call("/first-steps", {
      place,
      language,
      styleId,
      screens: [...screens],
      text,
    });
    setIsBusy(false);
    if ("problem" in answer) store.say("trouble", answer.problem.sentence);
    else void navigate("/run");
  };

  if (!fresh)
    return (
      <main
        aria-label={t`First steps`}
        className="grid min-h-0 flex-1 place-content-center gap-3 p-8 text-center"
      >
        <p className="font-words text-[22px]">{t`The first steps are done.`}</p>
        <p className="text-second">
          {t`Style and templates are in`}{" "}
          <Link className="text-act underline" to="/design">
            {t`Design`}
          </Link>
          {t`, screens in`}{" "}
          <Link className="text-act underline" to="/screens">
            {t`Screens`}
          </Link>
          {t`, the words of the evening in`}{" "}
          <Link className="text-act underline" to="/prepare">
            {t`Prepare`}
          </Link>
          .
        </p>
      </main>
    );
  return (
    <main aria-label={t`First steps`} className="flex min-h-0 flex-1 flex-col">
      <div className="relative flex min-h-0 flex-1 flex-col">
        {/* biome-ignore lint/a11y/noNoninteractiveTabindex: what scrolls must be reached by keys */}
        <div tabIndex={0} className="min-h-0 flex-1 overflow-y-auto">
          <div className="mx-auto flex max-w-5xl flex-col gap-6 px-6 py-6">
            <header>
              <h2 className="font-words text-[28px]">{t`Welcome. Four things, then the first evening.`}</h2>
              <p className="text-[16px] text-second">
                {t`All of it can be changed later, and none of it has to be.`}
              </p>
            </header>
            <div className="grid gap-x-8 gap-y-4 md:grid-cols-2">
              <Labelled id="place" label={t`1 · What is the house called?`}>
                <input
                  id="place"
                  value={place}
                  maxLength={80}
                  placeholder={t`The Net Loft`}
                  onChange={({ target }) => setPlace(target.value)}
                  className={`${fieldClass} text-[17px]`}
                />
              </Labelled>
              <Labelled id="language" label={t`How does it write dates and times?`}>
                <LanguageSelect
                  id="language"
                  chosen={language}
                  className={`${fieldClass} min-h-10.5`}
                  onChoose={setLanguage}
                />
              </Labelled>
            </div>
            <section aria-label={t`House style`}>
              <h3 className="mb-2 text-[15px] text-second">{t`2 · How shall it look?`}</h3>
              <StylePicker
                styles={styles}
                chosen={styleId}
                templates={templates}
                drawing={drawing}
                onChoose={setStyleId}
              />
            </section>
            <section aria-label={t`Screens`}>
              <h3 className="mb-2 text-[15px] text-second">{t`3 · Which screens are there?`}</h3>
              <ul className="flex flex-col gap-2">
                {screens.map((screen, at) => (
                  // biome-ignore lint/suspicious/noArrayIndexKey: a row is its place in the list
                  <li key={at} className="flex flex-wrap items-center gap-2">
                    <input
                      aria-label={t`Name of screen ${at + 1}`}
                      value={screen.name}
                      maxLength={60}
                      onChange={({ target }) => change(at, { name: target.value })}
                      className={`${fieldClass} w-40!`}
                    />
                    <select
                      aria-label={t`What screen ${at + 1} is for`}
                      value={screen.use}
                      onChange={({ target }) => change(at, screenFor(target.value as ScreenUse))}
                      className={`${fieldClass} w-80!`}
                    >
                      {USE_IDS.map((use) => (
                        <option key={use} value={use}>
                          {USES[use].name}
                        </option>
                      ))}
                    </select>
                    <span className="font-mono text-[14px] text-second">
                      {screen.widthPx}×{screen.heightPx}
                    </span>
                    <button
                      type="button"
                      aria-label={t`Remove screen ${at + 1}`}
                      disabled={screens.length === 1}
                      onClick={() => setScreens(screens.filter((_, index) => index !== at))}
                      className="grid size-9 place-content-center rounded-md text-second hover:bg-lifted disabled:text-quiet"
                    >
                      <X aria-hidden="true" className="size-4.5" />
                    </button>
                  </li>
                ))}
              </ul>
              <div className="mt-2 flex flex-wrap gap-2">
                <button
                  type="button"
                  disabled={screens.length >= MOST_SCREENS}
                  onClick={() => setScreens([...screens, screenFor("stage")])}
                  className={toolClass}
                >
                  <Plus aria-hidden="true" className="size-4.5" /> {t`Add a screen`}
                </button>
                <button type="button" onClick={() => void look()} className={toolClass}>
                  <ScanSearch aria-hidden="true" className="size-4.5" />{" "}
                  {t`Find the screens of this computer`}
                </button>
              </div>
            </section>
            <Labelled id="text" label={t`4 · Where do readings come from?`}>
              <select
                id="text"
                value={text}
                onChange={({ target }) => setText(target.value)}
                className={`${fieldClass} max-w-md`}
              >
                {texts.map(({ code, name }) => (
                  <option key={code} value={code}>
                    {name}
                  </option>
                ))}
                <option value="">{t`no readings`}</option>
              </select>
            </Labelled>
          </div>
        </div>
        <NoticeBar />
      </div>
      <footer className="flex shrink-0 flex-wrap items-center gap-x-6 gap-y-2 border-t border-edge bg-raised px-6 py-3">
        <button
          type="button"
          disabled={isBusy || screens.some(({ name }) => name.trim() === "")}
          onClick={() => void make()}
          className="min-h-11 rounded-lg bg-act px-6 text-[17px] font-bold text-on-bright hover:brightness-110 disabled:bg-lifted disabled:text-second"
        >
          {t`Make the first evening`}
        </button>
        <p className="text-[15px] text-second">
          {t`A backdrop and a corner mark, which go onto the screens at once; a song, a name strap`}
          {text !== "" && t` and a reading`} {t`to change or delete.`}
        </p>
        <Link className="ml-auto text-[15px] text-act underline" to="/prepare">
          {t`Begin with nothing`}
        </Link>
      </footer>
    </main>
  );
}

const toolClass =
  "inline-flex min-h-9 items-center gap-2 rounded-md bg-lifted px-3 text-[15px] hover:bg-edge disabled:text-quiet";
