/** Attributes of a drawing as React names them: without hyphens, but for those of WAI-ARIA. */
export function reactNames(
  attributes: Readonly<Record<string, string>>,
): Readonly<Record<string, string>> {
  return Object.fromEntries(
    Object.entries(attributes).map(([name, value]) => [
      name.startsWith('aria-')
        ? name
        : name.replace(/-([a-z])/g, (_, letter: string) => letter.toUpperCase()),
      value,
    ]),
  );
}
