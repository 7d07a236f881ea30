/** What the window is called: the most particular first, since tabs are narrow. */
export function Title({ of }: { of: string }) {
  return <title>{`${of} · Mute Tapper`}</title>;
}
