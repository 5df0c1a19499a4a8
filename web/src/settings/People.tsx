import Button from '@mui/material/Button';
import Typography from '@mui/material/Typography';
import { useMutation } from '@tanstack/react-query';
import { useState } from 'react';
import { answer, api, type Schema } from '../api/client';
import { refresh, useHouseAddress } from '../api/house';
import { usePeople } from '../api/settings';
import { newId } from '../kit/drafts';
import { fieldsOf } from '../kit/form/fields';
import { Form } from '../kit/form/Form';
import { useKeptForm } from '../kit/form/keptForm';
import { Save } from '../kit/form/Save';
import { ProblemNotice } from '../kit/Notices';
import { OnlyHere } from '../kit/OnlyHere';
import { OneTimeCode } from './OneTimeCode';
import { columns, Part, PartLine } from './Part';
import { offerUndo } from '../kit/undo';

type Person = Schema['PersonView'];
type Role = Person['role'];

const roles: Record<Role, string> = { OWNER: 'owner', BENCH_HAND: 'bench hand' };

/** Who may sign in, and as what. */
export function People({ me }: { me: string }) {
  const people = usePeople(true);
  const house = useHouseAddress();
  const [adding, setAdding] = useState(false);
  const [invited, setInvited] = useState<Schema['Invited'] | null>(null);
  const invite = useMutation({
    mutationFn: (id: string) => answer(api.PUT('/api/people/{id}/code', { params: { path: { id } } })),
    onSuccess: setInvited,
  });
  const change = useMutation({
    mutationFn: ({ to: { id, version, name, role, active } }: { from: Person; to: Person }) =>
      answer(
        api.PUT('/api/people/{id}', { params: { path: { id } }, body: { version, name, role, active } }),
      ),
    onSuccess: (_, { from: { id, name, role, active }, to }) =>
      offerUndo(
        to.role === role
          ? `${name} ${to.active ? 'may sign in again' : 'has no access any more'}`
          : `${name} is ${to.role === 'OWNER' ? 'an owner' : 'a bench hand'} now`,
        { kind: 'PERSON', id, name, role, active },
      ),
    onSettled: refresh,
  });
  return (
    <Part title="People" about="An owner sets prices, chambers and people; a bench hand does the daily work.">
      {people.data?.map((person) => (
        <PartLine key={person.id}>
          <Typography sx={{ typography: 'h3', width: 180 }}>{person.name}</Typography>
          <Typography sx={{ flex: 1 }}>
            {person.signInName}, {roles[person.role]}
            {!person.active && ', may not sign in'}
          </Typography>
          {person.id !== me && (
            <>
              <Button
                color="inherit"
                onClick={() =>
                  change.mutate({
                    from: person,
                    to: { ...person, role: person.role === 'OWNER' ? 'BENCH_HAND' : 'OWNER' },
                  })
                }
                aria-label={`Make ${person.name} ${person.role === 'OWNER' ? 'a bench hand' : 'an owner'}`}
              >
                {person.role === 'OWNER' ? 'Make bench hand' : 'Make owner'}
              </Button>
              {person.active && (
                <Button
                  color="inherit"
                  disabled={invite.isPending}
                  onClick={() => invite.mutate(person.id)}
                  aria-label={`New link for ${person.name}`}
                >
                  New link
                </Button>
              )}
              <Button
                color="inherit"
                onClick={() => change.mutate({ from: person, to: { ...person, active: !person.active } })}
                aria-label={`${person.active ? 'Remove access of' : 'Give access to'} ${person.name}`}
              >
                {person.active ? 'Remove access' : 'Give access'}
              </Button>
            </>
          )}
        </PartLine>
      ))}
      <ProblemNotice failure={people.error ?? change.error ?? invite.error} />
      {invited && (
        <OneTimeCode
          about={`Give this link to ${invited.person.name}, and to nobody else. It lets them choose a password, once, within a week. It is not shown again.`}
          codes={[`${house.address}/join#${invited.code}`]}
        />
      )}
      {invited && <OnlyHere />}
      {adding ? (
        <Add
          onDone={(added) => {
            setAdding(false);
            setInvited(added);
          }}
        />
      ) : (
        <Button variant="outlined" onClick={() => setAdding(true)} sx={{ justifySelf: 'start' }}>
          Add a person
        </Button>
      )}
    </Part>
  );
}

const New = fieldsOf<Schema['NewPerson']>();

function Add({ onDone }: { onDone: (invited: Schema['Invited']) => void }) {
  const form = useKeptForm<Schema['NewPerson']>(null, () => ({
    id: newId(),
    signInName: '',
    name: '',
    role: 'BENCH_HAND',
  }));
  const add = useMutation({
    mutationFn: (body: Schema['NewPerson']) => answer(api.POST('/api/people', { body })),
    onSuccess: async (invited) => {
      await refresh();
      onDone(invited);
    },
  });
  return (
    <Form
      form={form}
      failure={add.error}
      onChange={add.reset}
      onSubmit={() => add.mutate(form.hook.getValues())}
      sx={columns}
    >
      <New.Text name="name" label="Their name" required />
      <New.Text name="signInName" label="Their sign-in name" type="email" autoComplete="off" required />
      <New.Choice name="role" label="Role" choices={roles} />
      <Save busy={add.isPending} failure={add.error}>
        Add them
      </Save>
    </Form>
  );
}
