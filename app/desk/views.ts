/** The views of the desk, as the header names them: what the evening is run from comes first. */
export const VIEWS = [
  { to: "/run", name: "Run" },
  { to: "/prepare", name: "Prepare" },
  { to: "/songs", name: "Material" },
  { to: "/looks", name: "Design" },
  { to: "/screens", name: "Screens" },
  { to: "/timing", name: "Timing" },
] as const;

/** What is gathered for evenings: one view in three parts. */
export const MATERIAL = [
  { to: "/songs", name: "Songs" },
  { to: "/texts", name: "Texts" },
  { to: "/library", name: "Library" },
] as const;

export const isMaterial = (path: string): boolean => MATERIAL.some(({ to }) => path.startsWith(to));
