/** What a wash day is called: its number in its trial, or its own name where it belongs to none. */
export const dayName = (trial: { logged: boolean; question: string }, position: number): string =>
  trial.logged ? trial.question : `Wash day ${position + 1}`;
