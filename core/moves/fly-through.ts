import { measured, message } from '../messages';
import { between, offset } from '../geometry';
import { found, none } from '../units';
import { distanceOf, fromBearing, height, reader, speed } from './parameters';
import { lookAlong } from './pose';
import { PLAIN_CONTEXT, type CameraMove, type MoveParameter } from './types';

const across = (id: string, label: string, initial: number, hint: string): MoveParameter => ({
  id,
  label,
  quantity: 'metres',
  min: 0.2,
  max: 200,
  step: 0.1,
  initial,
  hint,
});

const parameters = [
  distanceOf(40, 'Starts before it', 'startM'),
  distanceOf(30, 'Ends behind it', 'endM'),
  height(6, 'Height through it'),
  across('gapWidthM', 'Gap across', 8, 'Between the nearest edges, leaves and wires counted.'),
  across('gapHeightM', 'Gap up', 10, 'Free air from the lowest to the highest edge.'),
  { ...across('marginM', 'Kept free each side', 1, 'Between the propeller tips and the edge.'), max: 20 },
  fromBearing,
  speed(3),
];

export const flyThrough: CameraMove = {
  kind: 'fly-through',
  name: 'Fly-through',
  says: 'Crosses a threshold: from one world into the next.',
  sticks: 'Forward only, lined up long before; no correction inside.',
  needs: 'A gap walked and measured on foot, and a free way out behind it.',
  caution:
    'No people near the gap or behind it. Sensing may brake in front of it: know what yours does, and stop rather than correct.',
  direction: 'toward',
  purpose: 'pass',
  roles: ['reveal', 'excite', 'bridge'],
  reversible: false,
  parameters,
  shape: (values, subject, { craft } = PLAIN_CONTEXT) => {
    const get = reader(parameters, values);
    const [widthM, heightM, marginM] = [get('gapWidthM'), get('gapHeightM'), get('marginM')];
    if (craft && (widthM <= craft.spanM || heightM <= craft.heightM)) {
      return none(
        message('path.gap-too-small', {
          width: measured(widthM, 'metres', 1),
          height: measured(heightM, 'metres', 1),
          aircraft: craft.name,
          span: measured(craft.spanM, 'metres', 2),
          high: measured(craft.heightM, 'metres', 2),
          leastWidth: measured(craft.spanM + 2 * marginM, 'metres', 1),
          leastHeight: measured(craft.heightM + 2 * marginM, 'metres', 1),
        }),
      );
    }
    const from = get('fromBearingDeg');
    const start = offset(subject.aim, from, get('startM'), get('heightM'));
    const end = offset(subject.aim, from + 180, get('endM'), get('heightM'));
    const lengthM = get('startM') + get('endM');
    return found({
      extent: { by: 'path', lengthM, speedMs: get('speedMs') },
      poseAt: (share) => lookAlong(between(start, end, share), from + 180, 0),
      marks: [{ share: get('startM') / lengthM, say: 'through the gap' }],
      gap: { widthM, heightM, marginM },
    });
  },
  withLength: (values, lengthM) => ({
    ...values,
    startM: Math.max(0.5, lengthM - reader(parameters, values)('endM')),
  }),
};
