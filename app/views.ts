import { t } from "../core/language/t.ts";

/** A view of the desk: its route, where its tab stands, how Find names it. */
interface View {
  /** In the address; its route is `routes/PATH.tsx`. */
  readonly path: string;
  /** On its tab, in the title of the window, and as Find calls it. */
  readonly name: string;
  /** In the first row of tabs, among the parts of Material, behind the settings button, or nowhere. */
  readonly tab: "first" | "material" | "menu" | "none";
  /** What Find calls it where its name does not say enough; null: Find does not offer it. */
  readonly find?: string | null;
  /** What the menu calls it where its name does not say enough. */
  readonly inMenu?: string;
}

/** The one table of views: routes, tabs, Find, window titles and tests are made from it. What the evening is run from comes first. */
export const VIEWS = [
  { path: "run", name: t`Run`, tab: "first" },
  { path: "prepare", name: t`Prepare`, tab: "first" },
  { path: "check", name: t`Check`, tab: "first", find: t`Check: what is wrong before the doors open` },
  { path: "songs", name: t`Songs`, tab: "material" },
  { path: "texts", name: t`Texts`, tab: "material" },
  { path: "library", name: t`Library`, tab: "material", find: t`Material: pictures, clips, fonts` },
  { path: "feeds", name: t`Feeds`, tab: "material", find: t`Feeds: tables that fill pages` },
  { path: "clips", name: t`Clips`, tab: "material", find: t`Clips: what the player plays` },
  { path: "comments", name: t`Comments`, tab: "material", find: t`Comments: what people write` },
  { path: "design", name: t`Design`, tab: "first" },
  { path: "screens", name: t`Screens`, tab: "first" },
  { path: "triggers", name: t`Triggers`, tab: "first", find: t`Triggers: cameras, times, messages` },
  { path: "timing", name: t`Timing`, tab: "first" },
  { path: "evenings", name: t`Evenings`, tab: "none" },
  { path: "keys", name: t`Keys`, tab: "menu" },
  { path: "report", name: t`Report`, tab: "menu", find: t`Report: what was shown, from when to when` },
  { path: "paper", name: t`Paper`, tab: "menu", find: t`Paper: script, rundown and proofs to print` },
  {
    path: "phones",
    name: t`Phones`,
    tab: "menu",
    find: t`Phones: remotes for the hand, the leader, the stage`,
  },
  {
    path: "carry",
    name: t`Carry`,
    tab: "menu",
    find: t`Show files and copies: save, open, restore`,
    inMenu: t`Show files and copies`,
  },
  { path: "health", name: t`Health`, tab: "menu", inMenu: t`Health of the server` },
  { path: "help", name: t`Help`, tab: "menu", find: t`Help: all guides` },
  { path: "welcome", name: t`First steps`, tab: "menu", find: null },
  { path: "gallery", name: t`Gallery`, tab: "none", find: null },
] as const satisfies readonly View[];
export type ViewPath = (typeof VIEWS)[number]["path"];

const onTab = (tab: View["tab"]): readonly View[] => VIEWS.filter((view) => view.tab === tab);

/** What is gathered for evenings: one tab in three parts. */
export const MATERIAL = onTab("material");
/** The first row of tabs, with Material in the place of its parts. */
export const TABS: readonly {
  readonly to: string;
  readonly name: string;
  readonly parts: readonly View[];
}[] = VIEWS.flatMap((view: View) => {
  if (view.tab === "first") return [{ to: `/${view.path}`, name: view.name, parts: [] }];
  return view === MATERIAL[0] ? [{ to: `/${view.path}`, name: t`Material`, parts: MATERIAL }] : [];
});
export const MENU = onTab("menu").map(({ path, name, inMenu = name }) => ({ path, name: inMenu }));

/** What Find can go to. */
export const FINDABLE = VIEWS.flatMap((view: View) =>
  view.find === null ? [] : [{ path: view.path, name: view.find ?? view.name }],
);

/** The title of a view's window. */
export const titleOf = (path: ViewPath): string =>
  `${VIEWS.find((view) => view.path === path)?.name ?? path} · Vesko`;
