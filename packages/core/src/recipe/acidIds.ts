/** An acid dose of a recipe from before doses had ids of their own gets the one that its place stood for. */
export function withAcidIds(doses: unknown): unknown {
  if (!Array.isArray(doses)) return doses;
  return doses.map((dose: unknown, i) =>
    typeof dose === 'object' && dose !== null && !('id' in dose) ? { id: `acid${i + 1}`, ...dose } : dose,
  );
}

/** And so does what was typed for it. */
export function withWrittenByAcid(written: unknown): unknown {
  if (typeof written !== 'object' || written === null) return written;
  return Object.fromEntries(
    Object.entries(written).map(([path, text]: [string, unknown]) => [
      path.replace(
        /^(passes\.[^.]+\.acid)(?:\.(\d+))?$/,
        (_, start: string, place: string | undefined) => `${start}.acid${Number(place ?? 0) + 1}`,
      ),
      text,
    ]),
  );
}
