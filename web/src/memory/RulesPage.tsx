import { TextInput } from '@mantine/core';
import { useQuery } from '@tanstack/react-query';
import { useState } from 'react';
import { endShopRule, listShopRules } from '@bay/contract/memory';
import type { ShopRuleRow } from '@bay/contract/memory';
import { may } from '@bay/contract/rights';
import { call, command, keys, sentenceOf, useMe } from '../api/index.ts';
import { dayWords, Empty, Failed, FormDialog, Loading, useForm } from '../ui/index.ts';
import { conditionSaid } from './condition-words.ts';
import { sortWords } from './sort-words.ts';

function EndRule({ rule, close }: { rule: ShopRuleRow; close: () => void }) {
  const form = useForm({ draft: `end-rule:${rule.id}`, initial: { why: '' }, command: endShopRule });
  return (
    <FormDialog
      title={`No longer kept: ${rule.line.title}`}
      submit="End it"
      of={form}
      send={({ why }) => command(endShopRule, { params: { ruleId: rule.id }, body: { why } }, { label: 'rule ended' })}
      close={close}
    >
      <p className="quiet">It joins no plan any more; what was done of it stays in the records.</p>
      <TextInput label="Why" data-autofocus {...form.field('why')} />
    </FormDialog>
  );
}

/** The lines that the shop keeps for every job of which their condition holds. */
export function RulesPage() {
  const rules = useQuery({ queryKey: keys.rules, queryFn: () => call(listShopRules) });
  const manages = may(useMe().data?.person?.role, 'manage-people');
  const [ending, setEnding] = useState<ShopRuleRow>();
  if (rules.isPending)
    return (
      <div className="page">
        <Loading as="rows" />
      </div>
    );
  if (rules.isError && !rules.data)
    return (
      <div className="page">
        <Failed sentence={sentenceOf(rules.error)} again={() => void rules.refetch()} />
      </div>
    );
  const kept = rules.data.rules;
  return (
    <div className="page">
      <div className="page-head">
        <h1>Rules of the shop</h1>
        <span className="quiet">Lines that one job taught, and that join the plan of every job like it.</span>
      </div>
      {kept.length === 0 && (
        <Empty title="No rules yet">
          <p>Add a line of your own on a job, then keep it for the shop with the facts it hangs on.</p>
        </Empty>
      )}
      <ul className="rows panel">
        {kept.map((rule) => (
          <li key={rule.id}>
            <b>{rule.line.title}</b> <span className="tag">{sortWords[rule.line.sort]}</span>
            <p>Where {conditionSaid(rule.when)}.</p>
            <p className="quiet">
              {rule.line.why ? `Without it: ${rule.line.why}. ` : ''}
              {rule.by}, {dayWords(rule.at)}
            </p>
            {manages && (
              <button
                type="button"
                className="plain-button small bare"
                aria-label={`End the rule: ${rule.line.title}`}
                onClick={() => setEnding(rule)}
              >
                End it
              </button>
            )}
          </li>
        ))}
      </ul>
      {ending && <EndRule rule={ending} close={() => setEnding(undefined)} />}
    </div>
  );
}
