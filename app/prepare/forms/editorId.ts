/** Id of the first text box of a cue's editor. */
export const editorId = (cueId: string) => `edit-${cueId}`;
