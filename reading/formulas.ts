import type { OwnIngredient } from '@sabor/contract/ingredients';
import type { Product } from '@sabor/contract/shelf';
import { findIngredient } from '@sabor/core/ingredients/dictionary';
import type { Group, Ingredient } from '@sabor/core/ingredients/facts';
import { type Formula, type Market, readFormula } from '@sabor/core/ingredients/formula';
import { staysOn } from '@sabor/core/ingredients/judge/screen';
import { parseLabel } from '@sabor/core/ingredients/label/parse-label';

const KEPT = 6000;

/** Reads products' lists by the names a tester classified; each list once for each text, market and way of use. */
export class Formulas {
  /** Names the tester classified, as ingredients. */
  own: Map<string, Ingredient> = new Map();
  private ownKey = '';
  private readonly read = new Map<string, Formula>();

  learn(names: readonly OwnIngredient[]): void {
    const key = JSON.stringify(names);
    if (key === this.ownKey) return;
    this.ownKey = key;
    this.read.clear();
    this.own = new Map(
      names.map(({ name, likeName, group }) => {
        const like = likeName ? findIngredient(likeName) : null;
        const made: Ingredient = like
          ? { ...like, name, synonyms: [] }
          : { name, synonyms: [], group: (group ?? 'other') as Group, marks: new Set() };
        return [name, made];
      }),
    );
  }

  of({ ingredients, roles }: Pick<Product, 'ingredients' | 'roles'>, market: Market): Formula {
    const leaveOn = staysOn(roles);
    const key = `${market} ${leaveOn} ${ingredients}`;
    let found = this.read.get(key);
    if (!found) {
      found = readFormula(parseLabel(ingredients, null, this.own).items, { leaveOn, market });
      if (this.read.size > KEPT) this.read.clear();
      this.read.set(key, found);
    }
    return found;
  }
}
