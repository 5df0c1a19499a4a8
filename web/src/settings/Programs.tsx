import Box from '@mui/material/Box';
import MenuItem from '@mui/material/MenuItem';
import Typography from '@mui/material/Typography';
import { useMutation, useQuery } from '@tanstack/react-query';
import { useState } from 'react';
import { answer, api, type Schema } from '../api/client';
import { refresh, useSession } from '../api/house';
import { AskFirst } from '../kit/AskFirst';
import { newId } from '../kit/drafts';
import { fieldsOf } from '../kit/form/fields';
import { Form } from '../kit/form/Form';
import { useKeptForm } from '../kit/form/keptForm';
import { Save } from '../kit/form/Save';
import { ProblemNotice } from '../kit/Notices';
import { date } from '../kit/units';
import { columns, Part, PartLine } from './Part';

type Token = Schema['AccessTokenView'];
type Scope = Token['scopes'][number];

const may: Record<Scope, string> = {
  READ: 'see pieces, chambers, what is due and alarms',
  AIR: 'see the air of chambers',
  WEIGH: 'write weighings',
  EXPORT: 'take the whole record away as files',
};

/** Programs of others, and what each may. */
export function Programs() {
  const tokens = useQuery({ queryKey: ['tokens'], queryFn: () => answer(api.GET('/api/me/tokens')) });
  const [shown, setShown] = useState<Token | null>(null);
  return (
    <Part
      title="Programs"
      about="A program of your own speaks for you with a token, and may do what you tick and nothing else. What it can ask stands at /api/openapi/programs."
    >
      {tokens.data?.map((token) => (
        <Line key={token.id} token={token} />
      ))}
      {shown?.token && (
        <Typography role="status" sx={{ overflowWrap: 'anywhere' }}>
          Give {shown.name} this token now; it is not shown again: <strong>{shown.token}</strong>
        </Typography>
      )}
      <Add
        onAdded={async (token) => {
          setShown(token);
          await refresh();
        }}
      />
    </Part>
  );
}

function Line({ token }: { token: Token }) {
  const remove = useMutation({
    mutationFn: () =>
      answer(
        api.PUT('/api/me/tokens/{id}/remove', {
          params: { path: { id: token.id } },
          body: { version: token.version },
        }),
      ),
    onSuccess: refresh,
  });
  const until =
    token.lastDay == null ? '' : token.ended ? '; its last day is over' : `; until ${date(token.lastDay)}`;
  return (
    <PartLine>
      <Box sx={{ flex: 1, minWidth: 200 }}>
        <Typography sx={{ typography: 'h3' }}>{token.name}</Typography>
        <Typography>
          speaks for {token.by}; may {token.scopes.map((scope) => may[scope]).join(', ')}
          {until}
        </Typography>
        <Typography color="text.secondary">
          {token.usedAt == null ? 'never used' : `last used ${date(token.usedAt)}`}
        </Typography>
      </Box>
      <AskFirst
        label="Remove access"
        name={`Remove access of ${token.name}`}
        warning={`${token.name} can ask and write nothing any more; what it wrote stays.`}
        busy={remove.isPending}
        onYes={() => remove.mutate()}
      />
      <ProblemNotice failure={remove.error} />
    </PartLine>
  );
}

interface Text extends Record<Scope, boolean> {
  id: string;
  name: string;
  days: string;
}

const New = fieldsOf<Text>();

const nothing = (): Text => ({
  id: newId(),
  name: '',
  days: '365',
  READ: true,
  AIR: false,
  WEIGH: false,
  EXPORT: false,
});

function Add({ onAdded }: { onAdded: (token: Token) => Promise<void> }) {
  const session = useSession();
  const form = useKeptForm<Text>('program', nothing);
  const scopes = (Object.keys(may) as Scope[]).filter(
    (scope) => scope !== 'EXPORT' || session.data?.me?.role === 'OWNER',
  );
  const add = useMutation({
    mutationFn: (text: Text) =>
      answer(
        api.PUT('/api/me/tokens/{id}', {
          params: { path: { id: text.id } },
          body: {
            name: text.name,
            scopes: scopes.filter((scope) => text[scope]),
            days: text.days === '' ? undefined : Number(text.days),
          },
        }),
      ),
    onSuccess: async (token) => {
      form.clear();
      await onAdded(token);
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
      <New.Text name="name" label="Name of the program" required />
      <New.Choice name="days" label="For how long">
        <MenuItem value="30">30 days</MenuItem>
        <MenuItem value="365">a year</MenuItem>
        <MenuItem value="">until it is removed</MenuItem>
      </New.Choice>
      <Box className="whole">
        {scopes.map((scope) => (
          <New.Check key={scope} name={scope} label={`May ${may[scope]}`} />
        ))}
      </Box>
      <Save busy={add.isPending} failure={add.error}>
        Make a token
      </Save>
    </Form>
  );
}
