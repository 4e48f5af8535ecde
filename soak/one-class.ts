/** The classes of made-up heads that are run: all, or the one SABOR_CLASS="coil brown" names. Throws where it names none. */
export function asked<T>(classes: readonly T[], nameOf: (one: T) => string): readonly T[] {
  const only = process.env.SABOR_CLASS;
  const run = only ? classes.filter((one) => nameOf(one) === only) : classes;
  if (run.length === 0)
    throw new Error(`SABOR_CLASS is one of ${classes.map(nameOf).join(', ')}, not ${only}.`);
  return run;
}
