import { DoorInput, PassphraseInput, PersonInput, SignInInput } from '@sabor/contract/access';
import { BackupFolder } from '@sabor/contract/backup';
import { MoveInput } from '@sabor/contract/calendar';
import { CheckInInput, EventInput } from '@sabor/contract/check-in';
import { ConsentInput, OwnConsentInput } from '@sabor/contract/consent';
import { DaysInput } from '@sabor/contract/day-import';
import { EnvelopeInput } from '@sabor/contract/envelope';
import {
  CadenceInput,
  HairEventInput,
  HairTestInput,
  HeadProblemInput,
  PatchTestInput,
  WishesInput,
} from '@sabor/contract/hair-file';
import { HairMeasureInput } from '@sabor/contract/hair-measure';
import { OwnIngredientInput, RuleWeightInput } from '@sabor/contract/ingredients';
import { LogWashDay } from '@sabor/contract/logged-day';
import { LookInput } from '@sabor/contract/looks';
import { MemoDone, MemoInput } from '@sabor/contract/memo';
import { PhotographInput, PhotographMeasuredInput } from '@sabor/contract/photograph';
import { AmendmentInput, OverruleInput, StepAmendmentInput } from '@sabor/contract/promise';
import { RecipeInput } from '@sabor/contract/recipe';
import { PublishConsentInput } from '@sabor/contract/report';
import { RoutineInput } from '@sabor/contract/routine';
import { SettingsChange } from '@sabor/contract/settings';
import { CalibrationInput, FinishBottle, LineInput, ProductInput, ShelfImport } from '@sabor/contract/shelf';
import { Tap, TapsInput } from '@sabor/contract/taps';
import { EndTrialInput, GuessInput, PanelInput, RetestInput, TrialInput } from '@sabor/contract/trial';
import { HearsayInput, VerdictInput } from '@sabor/contract/verdict';
import { AbandonInput, StartWashDay, WashDayChange, WearEndInput } from '@sabor/contract/wash-day';
import { WearerInput } from '@sabor/contract/wearer';
import { BatchInput, MetarInput, OutdoorsInput, PlaceInput, StayInput } from '@sabor/contract/weather';
import type { Express } from 'express';
import * as v from 'valibot';

/** What each route that takes a body is asked with, by its method and path. */
export const BODIES: Record<string, v.GenericSchema> = {
  'PUT /access/open': DoorInput,
  'PUT /access/passphrase': PassphraseInput,
  'PUT /people/:id': PersonInput,
  'POST /sign-in': SignInInput,
  'PUT /head-problems/:id': HeadProblemInput,
  'PUT /patch-tests/:id': PatchTestInput,
  'PUT /day-imports/:id': DaysInput,
  'PUT /memos/:id': MemoInput,
  'PUT /memos/:id/done': MemoDone,
  'PUT /calendar/:entry': MoveInput,
  'POST /products/:id/finish-bottle': FinishBottle,
  'PUT /lines/:id': LineInput,
  'PUT /products/:id': ProductInput,
  'PUT /products/:id/calibrations/:measure': CalibrationInput,
  'POST /shelf/import': ShelfImport,
  'PUT /wearers/:id': WearerInput,
  'PUT /wearers/:id/cadence/:kind': CadenceInput,
  'PUT /wearers/:id/wishes': WishesInput,
  'PUT /wearers/:id/consents': ConsentInput,
  'PUT /looks/:id': LookInput,
  'PUT /own/consents': OwnConsentInput,
  'PUT /wearers/:id/rules/:rule': RuleWeightInput,
  'PUT /hair-tests/:id': HairTestInput,
  'PUT /hair-events/:id': HairEventInput,
  'PUT /hair-measures/:id': HairMeasureInput,
  'PUT /own-ingredients': OwnIngredientInput,
  'PUT /routines/:id': RoutineInput,
  'PUT /trials/:id': TrialInput,
  'PUT /trials/:id/amendments/:amendment': AmendmentInput,
  'PUT /trials/:id/step-amendments/:amendment': StepAmendmentInput,
  'PUT /trials/:id/overrules/:overrule': OverruleInput,
  'PUT /trials/:id/panel': PanelInput,
  'PUT /trials/:id/retest': RetestInput,
  'PUT /recipes/:id': RecipeInput,
  'PUT /verdicts/:id': VerdictInput,
  'PUT /wearers/:id/publish-consent': PublishConsentInput,
  'PUT /hearsay/:id': HearsayInput,
  'PUT /put-aside/:kind/:ref': v.object({}),
  'PUT /logged-days/:id': LogWashDay,
  'POST /trials/:id/envelope': EnvelopeInput,
  'POST /trials/:id/end': EndTrialInput,
  'PUT /wash-days/:id': StartWashDay,
  'PATCH /wash-days/:id': WashDayChange,
  'POST /wash-days/:id/taps': v.object({ ...TapsInput.entries, taps: v.array(Tap) }),
  'POST /wash-days/:id/abandon': AbandonInput,
  'POST /wash-days/:id/end-wear': WearEndInput,
  'PUT /wash-days/:id/guess': GuessInput,
  'PUT /wash-days/:id/outdoors/:on': OutdoorsInput,
  'PUT /check-ins/:id': CheckInInput,
  'PUT /events/:id': EventInput,
  'PUT /photographs/:id': PhotographInput,
  'PUT /photographs/:id/measured': PhotographMeasuredInput,
  'PUT /places/:id': PlaceInput,
  'PUT /places/:id/readings/:batchId': BatchInput,
  'PUT /places/:id/metar/:batchId': MetarInput,
  'PUT /stays/:id': StayInput,
  'PATCH /settings': SettingsChange,
  'PUT /backups': BackupFolder,
  'POST /scale/put': v.object({ grams: v.number() }),
  'POST /scale/fault': v.object({ fault: v.string() }),
};

/** Routes that stream, or take bytes: asked by tests of their own. */
export const APART = new Set([
  'GET /scale/stream',
  'GET /backup.zip',
  'POST /import',
  'PUT /photographs/:id/bytes',
  'POST /backups/now',
  'PUT /product-pictures/:id',
  'PUT /memos/:id/sound',
  'PUT /clips/:id',
]);

interface Layer {
  route?: { path: string; methods: Record<string, boolean> };
  handle?: { stack?: Layer[] };
}

/** What is answered beside the interface. */
const BESIDE = new Set(['/healthz', '/sabor-authority.crt']);

/** Every route of the application, from the application itself. */
export function routesOf(app: Express): string[] {
  const found: string[] = [];
  const walk = (layers: readonly Layer[]) => {
    for (const { route, handle } of layers) {
      if (route && typeof route.path === 'string' && !BESIDE.has(route.path) && !route.path.includes('{'))
        for (const method of Object.keys(route.methods)) found.push(`${method.toUpperCase()} ${route.path}`);
      if (handle?.stack) walk(handle.stack);
    }
  };
  walk((app.router as unknown as { stack: Layer[] }).stack);
  return [...new Set(found)].sort();
}
