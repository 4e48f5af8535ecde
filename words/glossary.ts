/** The words of the trade and of trials as Sabor uses them, each in a sentence or two that stands by itself. */
export const GLOSSARY = {
  amount: {
    term: 'find your amount',
    says: 'How much of a product this head needs is found first, wash day by wash day, so that a product is not blamed for a bad amount.',
  },
  blind: {
    term: 'blind',
    says: 'A helper fills plain bottles with three-digit codes. Whoever rates does not know which is which until the ratings are locked.',
  },
  'build-up': {
    term: 'build-up',
    says: 'What products leave behind and washing has not lifted yet. It is reckoned from what was used; it is not measured.',
  },
  cast: {
    term: 'cast',
    says: 'The stiff shell of a dried gel or foam. Scrunching breaks it and leaves the hair soft.',
  },
  'check-in': {
    term: 'check-in',
    says: 'One look at the hair: rated by zone, from 0 to 10, at a stage (wet, in the cast, finished) or on a day worn.',
  },
  clumps: {
    term: 'clumps',
    says: 'Strands that lie together as one curl. Their size and their edges make definition.',
  },
  coded: {
    term: 'code',
    says: 'Three digits on a bottle in place of a name. The key stays closed until the ratings are locked.',
  },
  'days-worn': {
    term: 'day 1, days worn',
    says: 'Day 1 is the day the hair is finished: the cast broken, or the set taken down. The days after are counted from it; before four in the morning it is still the day before.',
  },
  'frizz-halo': {
    term: 'frizz halo',
    says: 'How thick the hair that stands off the outline is in a picture, in mm, as if all of it lay on the outline in one layer.',
  },
  flyaways: {
    term: 'flyaways',
    says: 'Single hairs that stand off, counted in a picture where they cross lines 3, 6, 10 and 15 mm off the outline, per 100 mm.',
  },
  definition: {
    term: 'definition',
    says: 'How clearly each clump stands as a curl of its own, from root to end.',
  },
  'dew-point': {
    term: 'dew point',
    says: 'How much water is in the air, as a temperature. It says more than humidity in percent: indoors and out it is nearly the same. Under 2 °C (36 °F) hair dries out; over 16 °C (61 °F) it takes up water.',
  },
  fairness: {
    term: 'fairness check',
    says: 'Whether the options met the same conditions: same steps, air, ground, days. Judge it before you look at the outcomes.',
  },
  'film-former': {
    term: 'film former',
    says: 'An ingredient that dries to a film around the strands: it gives hold, and slows water going in and out.',
  },
  finished: {
    term: 'finished hair',
    says: 'Hair as it is worn: the cast broken, or a set taken down. Days worn count from here.',
  },
  frizz: {
    term: 'frizz',
    says: 'Strands that have left their clump and stand off on their own. Less is wanted.',
  },
  half: {
    term: 'half-head',
    says: 'One option on the left, the other on the right, on the same wash day. Both sides share air, sleep and ground, so fewer wash days tell more. Which side is drawn at random.',
  },
  held: {
    term: 'kept the same',
    says: 'A step that is done the same way on every wash day, so that it cannot be what made the difference.',
  },
  hold: {
    term: 'hold',
    says: 'How well the shape stays. Also the step that gives it: gel, foam, custard, jelly.',
  },
  humectant: {
    term: 'humectant',
    says: 'An ingredient that draws water, glycerin for one. In damp air it can swell the hair, in dry air it can take water out of it.',
  },
  'good-enough': {
    term: 'good enough',
    says: 'The number from which you would still go out like this. Longevity counts the days that reach it.',
  },
  longevity: {
    term: 'longevity',
    says: 'The days from the finished hair until it is no longer good enough.',
  },
  'main-result': {
    term: 'main result',
    says: 'The one outcome a trial is judged by, named before it starts. All others are told beside it and settle nothing.',
  },
  matters: {
    term: 'a difference worth switching for',
    says: 'The smallest difference that would make you change products. Smaller ones may be real and still not matter.',
  },
  noise: {
    term: 'noise',
    says: 'How far wash days differ although nothing was changed. A difference has to stand out from it.',
  },
  option: {
    term: 'option',
    says: 'One of the things compared: a product, an amount, with a step or without it.',
  },
  p: {
    term: 'p',
    says: 'How often chance alone, drawing the order again, would give a difference at least this large. Small means hard to explain by chance; it is not the chance that a product is better.',
  },
  'patch-test': {
    term: 'patch test',
    says: 'A dab on the inner arm for 48 hours before a new product comes on the head. At burning, hives or swelling: wash it off, do not use it, and see a doctor.',
  },
  porosity: {
    term: 'porosity',
    says: 'How easily water gets into the hair and out again. It differs by zone, and no single test tells it: Sabor weighs several.',
  },
  random: {
    term: 'random order',
    says: 'Chance decides which option comes on which wash day, so that neither mood nor weather can choose.',
  },
  refresh: { term: 'refresh', says: 'Reviving worn hair with water or a little product, without a wash.' },
  reset: {
    term: 'reset',
    says: 'The same thorough cleanse before every option, so that none begins on what the one before left behind.',
  },
  sealed: {
    term: 'sealed',
    says: 'Which option comes next is kept closed until its wash day begins, so that nobody waits for a good day.',
  },
  settle: {
    term: 'settle it, only hint',
    says: 'With enough wash days a clear difference can be told from chance: the plan can settle it. With fewer, even the clearest result could be luck: it only hints.',
  },
  shed: {
    term: 'shed hairs',
    says: 'Hairs that come out while washing and combing. 50 to 100 a day are ordinary; days without combing add up.',
  },
  shrinkage: {
    term: 'shrinkage',
    says: 'How much shorter a curl rests than it stretches: 30 cm stretched and 18 cm resting is 40 %.',
  },
  slip: { term: 'slip', says: 'How easily fingers and comb glide through wet hair.' },
  'take-down': { term: 'take-down', says: 'Opening a set (twists, braids, rods) once it is dry through.' },
  zone: {
    term: 'zone',
    says: 'A place on the head that is looked at for itself: crown, nape, hairline. Hair differs by zone.',
  },
} as const satisfies Record<string, { term: string; says: string }>;
export type GlossaryKey = keyof typeof GLOSSARY;
