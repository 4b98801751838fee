import { screen, waitFor, within } from '@testing-library/react';
import { drawStage } from '../../../tests/stage';
import { userEvent } from '../../../tests/user';
import type { StageViewProps } from '../workshop/declared';
import { TyreAt } from './TyreAt';

jest.mock('next/navigation', () => ({ useSearchParams: () => new URLSearchParams(window.location.search) }));
jest.mock('@/worker/client', () =>
  jest.requireActual<typeof import('../../../tests/reckonHere')>('../../../tests/reckonHere'),
);

const Rear = ({ bicycle, send }: StageViewProps) => <TyreAt bicycle={bicycle} send={send} end="rear" />;
const PEOPLE = { people: [{ id: 'a', name: 'Ada' }] };
const type = async (label: string, text: string) => {
  const field = screen.getByLabelText(label);
  await userEvent.clear(field);
  await userEvent.type(field, `${text}{Enter}`);
};

describe('a tyre on its rim', () => {
  test('a tyre of another bead seat is told at once, and its width against rim and frame by the rule of the house', async () => {
    const { record } = await drawStage(Rear, [], {
      ...PEOPLE,
      rules: { ...(await import('@/model/settings/usual')).USUAL_SETTINGS.rules, tyreGap: 'wide' },
    });
    await type('Rim’s bead seat', '559');
    await type('Tyre’s bead seat', '571');
    const told = () => screen.getByRole('status', { name: 'Whether it belongs there' });
    await waitFor(() => expect(told()).toHaveTextContent('The rim’s seat is 559, the tyre’s 571 mm'));
    await type('Tyre’s bead seat', '559');
    await waitFor(() => expect(told()).toHaveTextContent('It belongs on this rim'));
    await type('Tyre’s width', '23');
    await type('Rim, inside', '17');
    await waitFor(() => expect(told()).toHaveTextContent('too narrow'));
    await type('Rim, at most', '90 psi');
    await type('Tyre, at most', '7');
    await waitFor(() => expect(told()).toHaveTextContent('6.2 bar'));
    await type('Tyre’s width', '900');
    expect(await screen.findByText('15 to 130 mm')).toBeInTheDocument();
    expect(record().tyreFits.rear).toMatchObject({ rimSeatMm: 559, tyreSeatMm: 559, tyreMm: 23, rimInnerMm: 17 });
  });

  test('a puncture: where to look, the cause before the tube, and what it was is kept', async () => {
    const { record } = await drawStage(
      Rear,
      [
        {
          type: 'buildWheel',
          end: 'rear',
          build: {
            spokes: 36,
            crossings: 3,
            rimRadiusMm: 301,
            leftRadiusMm: 22.5,
            rightRadiusMm: 22.5,
            leftOffsetMm: 34,
            rightOffsetMm: 20,
            rimClass: 'double-wall box alloy',
            mirrored: false,
          },
        },
      ],
      PEOPLE,
    );
    await userEvent.click(screen.getByRole('button', { name: 'It is flat' }));
    await userEvent.click(await screen.findByRole('button', { name: 'Towards the rim' }));
    await type('From the valve', '40 cm');
    const look = () => screen.getByRole('status', { name: 'Where to look' });
    await waitFor(() => expect(look()).toHaveTextContent('40 cm on from the valve, at spoke'));
    expect(look()).toHaveTextContent('if the tube was turned over');
    expect(within(look()).getByText('Rim tape')).toBeInTheDocument();
    const mend = () => screen.getByRole('button', { name: /cause/i });
    expect(mend()).toBeDisabled();
    await userEvent.click(screen.getByRole('button', { name: 'The tape' }));
    await waitFor(() => expect(look()).toHaveTextContent('Tape over every hole'));
    await userEvent.click(mend());
    expect(record().punctures).toMatchObject([{ found: 'tape', isMended: true, fromValveMm: 400, by: 'Ada' }]);
    expect(record().worked.map(({ place }) => place)).toContain('tyre.rear');
    await userEvent.click(screen.getByRole('button', { name: 'What it was before' }));
    expect(screen.getByText(/the tape, 40 cm from the valve/)).toBeInTheDocument();
    await userEvent.click(screen.getByRole('button', { name: 'It is flat' }));
    await userEvent.click(await screen.findByRole('button', { name: 'Two side by side' }));
    expect(await screen.findByText('Pinched between rim and road')).toBeInTheDocument();
  });

  test('sealant by width, with its date and the day that it is looked at again; filled again it is dated anew', async () => {
    const fit = { rimSeatMm: 622, tyreSeatMm: 622, tyreMm: 40, isTubeless: true };
    const { record } = await drawStage(Rear, [{ type: 'readTyre', end: 'rear', fit }], PEOPLE);
    expect(await screen.findByText(/ml in a tyre of this width/)).toBeInTheDocument();
    await type('Filled in', '60');
    expect(record().sealants.rear).toMatchObject({ ml: 60, by: 'Ada' });
    expect(record().secondLooks).toMatchObject([{ of: 'sealant', doneAt: null }]);
    await type('Filled in', '70');
    expect(record().secondLooks).toHaveLength(1);
    await type('Filled in', '0');
    expect(record().sealants.rear).toMatchObject({ ml: 70 });
  });
});
