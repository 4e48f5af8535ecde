import type { Due } from '@sabor/contract/today';

/** Where a thing that is due is done, and what the way there is called. */
export function wayTo(due: Due): { to: string; label: string } {
  switch (due.kind) {
    case 'continue wash day':
      return { to: `/wash-days/${due.washDayId}`, label: 'Continue' };
    case 'start wash day':
      return { to: `/trials/${due.trialId}`, label: 'Open trial' };
    case 'check-in':
      return {
        to: `/wash-days/${due.washDayId}/look/${due.stage === 'wear' ? `day-${due.day}` : due.stage}`,
        label: 'Check in',
      };
    case 'announced':
      return { to: `/wash-days/${due.washDayId}?on=${due.on}#events`, label: 'Say what it came to' };
    case 'later step':
      return { to: `/wash-days/${due.washDayId}?step=${due.stepId}`, label: 'To the step' };
    case 'night':
      return { to: `/wash-days/${due.washDayId}#events`, label: 'Protect overnight' };
    case 'end wear':
      return { to: `/wash-days/${due.washDayId}`, label: 'Say how it ended' };
    case 'read':
      return { to: `/trials/${due.trialId}/compare`, label: 'Read the comparison' };
    case 'left open':
      return { to: `/verdicts/${due.verdictId}?anew`, label: 'Say it anew' };
    case 'care':
      return { to: `/heads/${due.wearerId}?part=care`, label: 'Open profile' };
    case 'problems':
      return { to: `/heads/${due.wearerId}?part=problems`, label: 'See what was tried' };
    case 'patch test':
      return {
        to: `/heads/${due.wearerId}?part=care#patch-tests`,
        label: due.over ? 'Say how it looks' : 'See the patch test',
      };
    case 'bottle':
      return { to: `/shelf/${due.productId}`, label: 'See the bottle' };
  }
}
