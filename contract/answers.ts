import * as v from 'valibot';
import { Access, Invitation, Me, OnRecord, SignedIn } from './access.ts';
import { BackupState } from './backup.ts';
import { OwnBoard } from './board.ts';
import { Buying } from './buying.ts';
import { CalendarEntry, Moved } from './calendar.ts';
import { ListedClip } from './clip.ts';
import { Consents } from './consent.ts';
import { DayImport, DaysStored, TakenBack } from './day-import.ts';
import { Envelope, EnvelopeOut } from './envelope.ts';
import { HairFile } from './hair-file.ts';
import { LedgerWashDay, OwnIngredientInput } from './ingredients.ts';
import { ListedDay } from './logged-day.ts';
import { Looks, Own } from './looks.ts';
import { Memo } from './memo.ts';
import {
  FiledPhotograph,
  Ghosts,
  ListedPhotograph,
  PhotographMeasuredInput,
  PhotographReceived,
} from './photograph.ts';
import { Recipe } from './recipe.ts';
import { PublishConsent } from './report.ts';
import { Routine } from './routine.ts';
import { Found } from './search.ts';
import { Settings } from './settings.ts';
import { Product, Shelf } from './shelf.ts';
import { TapsHeard } from './taps.ts';
import { Today } from './today.ts';
import { DoseRun, KeyEntry, Trial, TrialDetail } from './trial-record.ts';
import { UsualDay, UsualOfZone } from './usual.ts';
import { Hearsay, ProductUsed, Verdict } from './verdict.ts';
import { Pulse, WashDay } from './wash-day.ts';
import { Wearer } from './wearer.ts';
import { MetarReport, Place, PlaceWeather, Weather } from './weather.ts';
import { WornDay } from './worn.ts';

/** What each route answers with, by method and path; every answer in JSON has its row. */
export const ANSWERS: Record<string, v.GenericSchema> = {
  'GET /access': Access,
  'GET /access/record': v.array(OnRecord),
  'PUT /access/open': Access,
  'PUT /access/passphrase': Access,
  'PUT /people/:id': Access,
  'DELETE /people/:id': Access,
  'POST /people/:id/invitations': Invitation,
  'DELETE /devices/:id': Access,
  'DELETE /devices/:id/session': Access,
  'POST /sign-in': SignedIn,
  'GET /me': Me,
  'GET /looks': Looks,
  'PUT /looks/:id': Looks,
  'GET /own': Own,
  'PUT /own/consents': Own,
  'DELETE /own/pictures': Own,
  'DELETE /own/photographs/:id': Own,
  'DELETE /own/clips/:id': Own,
  'GET /wearers/:id/consents': Consents,
  'PUT /wearers/:id/consents': Consents,
  'GET /trials/:id/record': v.array(OnRecord),
  'GET /backups': BackupState,
  'PUT /backups': BackupState.entries.nightly,
  'POST /backups/now': BackupState.entries.nightly,
  'GET /wearers/:id/file': HairFile,
  'PUT /hair-tests/:id': HairFile,
  'DELETE /hair-tests/:id': HairFile,
  'PUT /hair-events/:id': HairFile,
  'DELETE /hair-events/:id': HairFile,
  'PUT /head-problems/:id': HairFile,
  'DELETE /head-problems/:id': HairFile,
  'PUT /patch-tests/:id': HairFile,
  'DELETE /patch-tests/:id': HairFile,
  'PUT /hair-measures/:id': HairFile,
  'DELETE /hair-measures/:id': HairFile,
  'PUT /wearers/:id/cadence/:kind': HairFile,
  'DELETE /wearers/:id/cadence/:kind': HairFile,
  'PUT /wearers/:id/wishes': HairFile,
  'GET /day-imports': v.array(DayImport),
  'PUT /day-imports/:id': DaysStored,
  'POST /day-imports/:id/take-back': TakenBack,
  'GET /memos': v.array(Memo),
  'PUT /memos/:id': v.array(Memo),
  'PUT /memos/:id/sound': v.array(Memo),
  'PUT /memos/:id/done': v.array(Memo),
  'DELETE /memos/:id': v.array(Memo),
  'PUT /photographs/:id': PhotographReceived,
  'PUT /photographs/:id/bytes': PhotographReceived,
  'GET /photographs/:id': FiledPhotograph,
  'PUT /photographs/:id/measured': PhotographMeasuredInput,
  'GET /wearers/:id/ghosts': Ghosts,
  'GET /wearers/:id/clips': v.array(ListedClip),
  'PUT /clips/:id': v.array(ListedClip),
  'GET /wearers/:id/photographs': v.array(ListedPhotograph),
  'GET /routines': v.array(Routine),
  'GET /routines/:id': Routine,
  'PUT /routines/:id': Routine,
  'GET /recipes': v.array(Recipe),
  'PUT /recipes/:id': Recipe,
  'PUT /product-pictures/:id': Product,
  'GET /own-ingredients': v.array(OwnIngredientInput),
  'GET /wearers/:id/ledger': v.array(LedgerWashDay),
  'GET /search': v.array(Found),
  'GET /wearers/:id/publish-consent': PublishConsent,
  'PUT /wearers/:id/publish-consent': PublishConsent,
  'GET /verdicts': v.array(Verdict),
  'GET /verdicts/:id': Verdict,
  'PUT /verdicts/:id': Verdict,
  'GET /products/:id/used': ProductUsed,
  'GET /products/:id/hearsay': v.array(Hearsay),
  'PUT /hearsay/:id': v.array(Hearsay),
  'DELETE /hearsay/:id': v.array(Hearsay),
  'GET /wearers/:id/usual': v.array(UsualOfZone),
  'GET /wearers/:id/usual-day': UsualDay,
  'GET /wearers/:id/board': OwnBoard,
  'GET /wearers/:id/worn': v.array(WornDay),
  'GET /settings': Settings,
  'PATCH /settings': Settings,
  'GET /shelf': Shelf,
  'GET /buying': Buying,
  'GET /products/:id': Product,
  'PUT /products/:id': Product,
  'PUT /products/:id/calibrations/:measure': Product,
  'POST /products/:id/finish-bottle': Product,
  'POST /shelf/import': v.strictObject({ stored: v.number(), known: v.number() }),
  'GET /today': Today,
  'GET /calendar': v.array(CalendarEntry),
  'PUT /calendar/:entry': Moved,
  'GET /trials': v.array(Trial),
  'GET /trials/:id': TrialDetail,
  'PUT /trials/:id': TrialDetail,
  'PUT /trials/:id/amendments/:amendment': TrialDetail,
  'PUT /trials/:id/step-amendments/:amendment': TrialDetail,
  'PUT /trials/:id/overrules/:overrule': TrialDetail,
  'DELETE /trials/:id/overrules/:overrule': TrialDetail,
  'PUT /trials/:id/retest': TrialDetail,
  'DELETE /trials/:id/retest': TrialDetail,
  'PUT /trials/:id/panel': TrialDetail,
  'POST /trials/:id/outcomes': TrialDetail,
  'POST /trials/:id/look': TrialDetail,
  'GET /trials/:id/key': v.array(KeyEntry),
  'POST /trials/:id/key/open': TrialDetail,
  'GET /wearers/:id/doses': v.array(DoseRun),
  'PUT /wash-days/:id/guess': TrialDetail,
  'PUT /check-ins/:id': WashDay,
  'PUT /events/:id': WashDay,
  'DELETE /events/:id': WashDay,
  'GET /wash-days': v.array(ListedDay),
  'PUT /logged-days/:id': WashDay,
  'GET /trials/:id/envelope': EnvelopeOut,
  'POST /trials/:id/envelope': Envelope,
  'DELETE /trials/:id/envelope': EnvelopeOut,
  'PUT /wash-days/:id': WashDay,
  'GET /wash-days/:id': WashDay,
  'GET /wash-days/:id/pulse': Pulse,
  'PATCH /wash-days/:id': WashDay,
  'PUT /wash-days/:id/outdoors/:on': WashDay,
  'POST /wash-days/:id/taps': TapsHeard,
  'POST /wash-days/:id/abandon': WashDay,
  'POST /wash-days/:id/end-wear': WashDay,
  'POST /wash-days/:id/reopen-wear': WashDay,
  'GET /wearers': v.array(Wearer),
  'GET /wearers/:id': Wearer,
  'PUT /wearers/:id': Wearer,
  'GET /weather': Weather,
  'PUT /places/:id': Place,
  'GET /places/:id/weather': PlaceWeather,
  'PUT /places/:id/readings/:batchId': v.strictObject({ stored: v.number() }),
  'PUT /places/:id/metar/:batchId': MetarReport,
};
