import { screen } from '@testing-library/react';
import { expect, test } from 'vitest';
import { openCase } from '../testing/case';
import { Asked } from './Asked';

const choice = (code: string, denies = false) => ({ code, label: code, meaning: `${code}.`, spoils: false, denies });
const hiss = {
  code: 'hiss',
  ask: 'Where it hisses',
  step: 'before',
  part: 'chamber',
  site: 'cylinder' as const,
  signs: [],
  several: true,
  choices: [choice('nowhere', true), choice('inlet'), choice('exhaust')],
};

test('several answers are recorded together, one that denies the others alone, and none is taken back', async () => {
  const { user, sent } = openCase(<Asked question={hiss} place="A1" narrow />);
  const pick = async (name: string): Promise<void> => user.click(await screen.findByTitle(`${name}.`));
  await user.click(await screen.findByLabelText(/where it hisses$/));
  await pick('inlet');
  await pick('exhaust');
  await expect.poll(() => sent.at(-1)?.data).toEqual({ choice: 'inlet', also: ['exhaust'] });
  await pick('nowhere');
  await expect.poll(() => sent.at(-1)?.data).toEqual({ choice: 'nowhere' });
  await pick('exhaust');
  await expect.poll(() => sent.at(-1)?.data).toEqual({ choice: 'exhaust' });
  await user.keyboard('{Backspace}');
  await expect.poll(() => sent.at(-1)?.kind).toBe('withdrawal');
});
