import type { Me } from '@sabor/contract/access';
import { PERSON_ROLES } from '@sabor/core/access/people';
import { useQuery } from '@tanstack/react-query';
import { resource } from '../../api/queries.ts';
import { ButtonLink } from '../../ui/button.tsx';
import { Failed, Heading, Loading } from '../../ui/states.tsx';
import { ThisDevice } from './this-device.tsx';

/** A device that was let in: what works on it, how the rest can, and the way out. */
export function WelcomeScreen() {
  const me = useQuery(resource<Me>('/me'));
  if (me.isPending) return <Loading what="who you are" />;
  if (me.isLoadingError) return <Failed error={me.error} retry={me.refetch} />;
  const { person } = me.data;
  if (!person)
    return (
      <Heading
        title="This is the laptop itself"
        actions={
          <ButtonLink look="main" to="/phone">
            Let my phone in
          </ButtonLink>
        }
      >
        Nobody signs in here. Other devices are let in from here.
      </Heading>
    );
  return (
    <>
      <Heading
        title={`Welcome, ${person.name}`}
        actions={
          <ButtonLink look="main" to="/">
            To Today
          </ButtonLink>
        }
      >
        On this device you are a {PERSON_ROLES[person.role].label}: who {PERSON_ROLES[person.role].says}.
      </Heading>
      <ThisDevice />
    </>
  );
}
