import type { Wearer } from '@sabor/contract/wearer';
import type { Porosity } from '@sabor/core/hair/traits';
import type { School } from '@sabor/core/hair/wishes';
import type { ScreenFor } from '@sabor/core/ingredients/judge/screen';
import { screenFor } from '@sabor/reading/screen-for';
import { useMemo } from 'react';
import { brokenOf, useHairFile, useSettings } from './queries.ts';

/** What is asked of the screening beside the profile. */
export interface Asked {
  dewPointC: number | null;
  porosity: Porosity | null;
  /** Undefined takes the wearer's own. */
  school: School | null | undefined;
}

/** Whom products are screened for; null while the profile is on its way. */
export function useWhom(
  wearer: Wearer,
  asked: Asked,
): { whom: Omit<ScreenFor, 'roles'> | null; error: Error | null } {
  const file = useHairFile(wearer.id);
  const { market } = useSettings();
  const whom = useMemo(
    () => (file.data ? screenFor(wearer, file.data, { ...asked, market }) : null),
    [wearer, file.data, asked, market],
  );
  return { whom, error: brokenOf(file) };
}
