import { describe, expect, it } from 'vitest';
import { mixProblem } from '../step/mix.ts';
import { asMix, circleIn, type Recipe } from './recipe.ts';

const thing = (name: string, amount: number) => ({ name, productId: null, recipeId: null, amount });
const inner = (recipeId: string, amount: number) => ({ name: recipeId, productId: null, recipeId, amount });
const recipe = (id: string, ...parts: Recipe['parts'][number][]): Recipe => ({
  id,
  name: id,
  unit: 'parts',
  parts,
});

const gel = recipe('gel', thing('flaxseed', 1), thing('water', 9));

describe('a home mix kept as a recipe', () => {
  it('is taken over with its parts as they are told', () => {
    const mix = asMix(gel, [])!;
    expect(mix).toEqual([
      { name: 'flaxseed', productId: null, parts: 1 },
      { name: 'water', productId: null, parts: 9 },
    ]);
    expect(mixProblem(mix)).toBeNull();
  });

  it('opens up another mix in it and adds up what is named twice, in parts of a hundred', () => {
    const both = recipe(
      'both',
      inner('gel', 2),
      { ...thing('Slip', 1), productId: 'slip' },
      thing('Water', 1),
    );
    // Of four parts two are gel, a tenth of them flaxseed: 5, water 45 + 25, slip 25 in a hundred.
    expect(asMix(both, [gel])).toEqual([
      { name: 'flaxseed', productId: null, parts: 5 },
      { name: 'water', productId: null, parts: 70 },
      { name: 'Slip', productId: 'slip', parts: 25 },
    ]);
  });

  it('told in ml beyond a hundred becomes parts', () => {
    expect(asMix({ ...gel, unit: 'ml', parts: [thing('flaxseed', 50), thing('water', 450)] }, [])).toEqual([
      { name: 'flaxseed', productId: null, parts: 10 },
      { name: 'water', productId: null, parts: 90 },
    ]);
  });

  it('cannot come to more or smaller parts than a step holds', () => {
    const many = recipe('many', ...Array.from({ length: 8 }, (_, i) => thing(`oil ${i}`, 1)));
    expect(asMix(recipe('two', inner('many', 1), thing('water', 1)), [many])).toBeNull();
    expect(asMix(recipe('drop', inner('gel', 1), thing('water', 9999)), [gel])).toBeNull();
  });

  it('that holds itself is found out, near and far; one used twice is no circle', () => {
    expect(circleIn(recipe('a', inner('a', 1), thing('water', 1)), [])).toEqual(['a', 'a']);
    const b = recipe('b', inner('c', 1), thing('water', 1));
    const c = recipe('c', inner('a', 1), thing('water', 1));
    expect(circleIn(recipe('a', inner('b', 1), thing('water', 1)), [b, c])).toEqual(['a', 'b', 'c', 'a']);
    expect(
      circleIn(recipe('d', inner('gel', 1), inner('e', 1)), [
        gel,
        recipe('e', inner('gel', 1), thing('x', 1)),
      ]),
    ).toBeNull();
    // A circle that is not its own does not hold it up.
    expect(
      circleIn(recipe('z', inner('b', 1), thing('x', 1)), [b, c, recipe('a', inner('b', 1), thing('y', 1))]),
    ).toBeNull();
  });
});
