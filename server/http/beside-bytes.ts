/** What goes with bytes that are sent as they are: it stands in the address, as JSON. An empty object where it is none. */
export function besideBytes(text: unknown): object {
  try {
    const said: unknown = typeof text === 'string' ? JSON.parse(text) : null;
    return said !== null && typeof said === 'object' ? said : {};
  } catch {
    return {};
  }
}
