/** What browsers say of the screens of their machine, where they do (Window Management, W3C). */
interface ScreenDetails {
  readonly screens: readonly {
    readonly width: number;
    readonly height: number;
    readonly devicePixelRatio: number;
    readonly isPrimary: boolean;
  }[];
}

export interface FoundScreen {
  readonly widthPx: number;
  readonly heightPx: number;
}

/** The screens of this computer besides the one the desk is on; with a single screen, that one. The browser asks first. */
export async function findScreens(): Promise<
  { readonly screens: readonly FoundScreen[] } | { readonly problem: string }
> {
  const { getScreenDetails } = window as { getScreenDetails?: () => Promise<ScreenDetails> };
  if (!getScreenDetails)
    return {
      problem: "This browser does not tell which screens there are. Add them by hand; it takes a moment.",
    };
  try {
    const { screens } = await getScreenDetails.call(window);
    const others = screens.filter(({ isPrimary }) => !isPrimary);
    return {
      screens: (others.length > 0 ? others : screens).map(({ width, height, devicePixelRatio }) => ({
        widthPx: Math.round(width * devicePixelRatio),
        heightPx: Math.round(height * devicePixelRatio),
      })),
    };
  } catch {
    return { problem: "The browser was not let look at the screens. Add them by hand; it takes a moment." };
  }
}
