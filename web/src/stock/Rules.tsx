import Box from '@mui/material/Box';
import Button from '@mui/material/Button';
import Typography from '@mui/material/Typography';
import { useMutation } from '@tanstack/react-query';
import { answer, api, type Schema } from '../api/client';
import { refresh } from '../api/house';
import { fieldsOf } from '../kit/form/fields';
import { Form } from '../kit/form/Form';
import { useKeptForm } from '../kit/form/keptForm';
import { Caution, ProblemNotice } from '../kit/Notices';
import { readNumber } from '../kit/units';
import { contents, keepings, wraps, type Content, type Keeping, type Wrap } from './words';

interface Text {
  content: Content;
  wrap: Wrap;
  keeping: Keeping;
  days: string;
}

const Rule = fieldsOf<Text>();

const find = (rules: Schema['RuleView'][], content: Content, wrap: Wrap, keeping: Keeping) =>
  rules.find((rule) => rule.content === content && rule.wrap === wrap && rule.keeping === keeping);

const daysOf = (rule?: Schema['RuleView']): string => (rule && rule.days > 0 ? String(rule.days) : '');

/** How long the workshop itself lets packs be used. Elvaro has no rule of its own. */
export function Rules({ rules }: { rules: Schema['RuleView'][] }) {
  const form = useKeptForm<Text>(null, () => ({
    content: 'STEAK',
    wrap: 'VACUUM',
    keeping: 'CHILLED',
    days: daysOf(find(rules, 'STEAK', 'VACUUM', 'CHILLED')),
  }));
  const { content, wrap, keeping, days } = form.values;
  const known = find(rules, content, wrap, keeping);
  const choose = (part: Partial<Text>) => {
    const next = { ...form.hook.getValues(), ...part };
    form.change({ days: daysOf(find(rules, next.content, next.wrap, next.keeping)) });
  };
  const save = useMutation({
    mutationFn: () =>
      answer(
        api.PUT('/api/stock/rule', {
          body: { content, wrap, keeping, version: known?.version ?? 0, days: readNumber(days) ?? 0 },
        }),
      ),
    onSuccess: refresh,
  });
  return (
    <Box component="section" aria-labelledby="rules" sx={{ mt: 5, display: 'grid', gap: 1.5, maxWidth: 760 }}>
      <Typography id="rules" variant="h2">
        Use by, by your own rule
      </Typography>
      {rules
        .filter((rule) => rule.days > 0)
        .map((rule) => (
          <Typography key={`${rule.content} ${rule.wrap} ${rule.keeping}`}>
            {contents[rule.content]}, {wraps[rule.wrap]}, {keepings[rule.keeping]}:{' '}
            <strong>{rule.days} days</strong>
          </Typography>
        ))}
      <Form
        form={form}
        failure={save.error}
        onChange={save.reset}
        onSubmit={() => save.mutate()}
        sx={{ display: 'flex', flexWrap: 'wrap', gap: 1.5, alignItems: 'flex-start' }}
      >
        <Rule.Choice
          size="small"
          name="content"
          label="What"
          choices={contents}
          onChanged={(next) => choose({ content: next as Content })}
          sx={{ width: 180 }}
        />
        <Rule.Choice
          size="small"
          name="wrap"
          label="In"
          choices={wraps}
          onChanged={(next) => choose({ wrap: next as Wrap })}
          sx={{ width: 130 }}
        />
        <Rule.Choice
          size="small"
          name="keeping"
          label="Kept"
          choices={keepings}
          onChanged={(next) => choose({ keeping: next as Keeping })}
          sx={{ width: 130 }}
        />
        <Rule.Measure size="small" name="days" label="Days" of="number" sx={{ width: 96 }} />
        <Button type="submit" variant="outlined" disabled={days === daysOf(known) || save.isPending}>
          Keep the rule
        </Button>
      </Form>
      <ProblemNotice failure={save.error} />
      <Caution of="OWN_PLAN" />
    </Box>
  );
}
