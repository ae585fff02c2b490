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
  { path: "run", name: "Run", tab: "first" },
  { path: "prepare", name: "Prepare", tab: "first" },
  { path: "check", name: "Check", tab: "first", find: "Check: what is wrong before the doors open" },
  { path: "songs", name: "Songs", tab: "material" },
  { path: "texts", name: "Texts", tab: "material" },
  { path: "library", name: "Library", tab: "material", find: "Material: pictures, clips, fonts" },
  { path: "feeds", name: "Feeds", tab: "material", find: "Feeds: tables that fill pages" },
  { path: "clips", name: "Clips", tab: "material", find: "Clips: what the player plays" },
  { path: "comments", name: "Comments", tab: "material", find: "Comments: what people write" },
  { path: "design", name: "Design", tab: "first" },
  { path: "screens", name: "Screens", tab: "first" },
  { path: "triggers", name: "Triggers", tab: "first", find: "Triggers: cameras, times, messages" },
  { path: "timing", name: "Timing", tab: "first" },
  { path: "evenings", name: "Evenings", tab: "none" },
  { path: "keys", name: "Keys", tab: "menu" },
  { path: "report", name: "Report", tab: "menu", find: "Report: what was shown, from when to when" },
  { path: "paper", name: "Paper", tab: "menu", find: "Paper: script, rundown and proofs to print" },
  {
    path: "phones",
    name: "Phones",
    tab: "menu",
    find: "Phones: remotes for the hand, the leader, the stage",
  },
  {
    path: "carry",
    name: "Carry",
    tab: "menu",
    find: "Show files and copies: save, open, restore",
    inMenu: "Show files and copies",
  },
  { path: "health", name: "Health", tab: "menu", inMenu: "Health of the server" },
  { path: "help", name: "Help", tab: "menu", find: "Help: all guides" },
  { path: "welcome", name: "First steps", tab: "menu", find: null },
  { path: "gallery", name: "Gallery", tab: "none", find: null },
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
  return view === MATERIAL[0] ? [{ to: `/${view.path}`, name: "Material", parts: MATERIAL }] : [];
});
export const MENU = onTab("menu").map(({ path, name, inMenu = name }) => ({ path, name: inMenu }));

/** What Find can go to. */
export const FINDABLE = VIEWS.flatMap((view: View) =>
  view.find === null ? [] : [{ path: view.path, name: view.find ?? view.name }],
);

/** The title of a view's window. */
export const titleOf = (path: ViewPath): string =>
  `${VIEWS.find((view) => view.path === path)?.name ?? path} · Vesko`;
