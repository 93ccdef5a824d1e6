import { put } from '../../../document/edit';
import { Select } from '../../../ui/controls';
import { Labelled } from '../../../ui/Labelled';
import { Typed } from '../../../ui/Typed';
import { useBuild } from '../../context';
import type { BuiltWay } from './way';

export const swipe: BuiltWay<'swipe'> = {
  offers: [
    { id: 'swipeLeft', words: 'when swiped left', way: { trigger: 'swipe', side: 'left' } },
    { id: 'swipeRight', words: 'when swiped right', way: { trigger: 'swipe', side: 'right' } },
  ],
  Look: function Side({ path, way }) {
    const { entities, edit } = useBuild();
    return (
      <Labelled label="Swiped to the">
        <Select
          aria-label="Direction"
          value={way.side}
          onChange={(e) => void edit(put(entities, [...path, 'side'], e.target.value))}
        >
          {['left', 'right', 'up', 'down'].map((s) => (
            <option key={s}>{s}</option>
          ))}
        </Select>
      </Labelled>
    );
  },
};

export const keys: BuiltWay<'keys'> = {
  offers: [{ id: 'keys', words: 'when keys are pressed', way: { trigger: 'keys', keys: 'Alt+N' } }],
  Look: function Keys({ path, way }) {
    const { entities, edit } = useBuild();
    const save = (v: string) => v && void edit(put(entities, [...path, 'keys'], v));
    return (
      <Labelled label="Keys">
        <Typed label="Keys" value={way.keys} onSave={save} />
      </Labelled>
    );
  },
};

export const entered: BuiltWay<'entered'> = {
  offers: [{ id: 'entered', words: 'when it is entered', way: { trigger: 'entered' } }],
};

export const left: BuiltWay<'left'> = {
  offers: [{ id: 'left', words: 'when it is left', way: { trigger: 'left' } }],
  does: true,
};

export const time: BuiltWay<'time'> = {
  offers: [
    { id: 'time', words: 'some time after arriving', way: { trigger: 'time', after: 60 } },
    { id: 'timeTouch', words: 'some time after the last touch', way: { trigger: 'time', after: 60, since: 'touch' } },
  ],
  Look: function After({ path, way }) {
    const { entities, edit } = useBuild();
    const save = (v: string) => Number(v) >= 1 && void edit(put(entities, [...path, 'after'], Number(v)));
    return (
      <>
        <Labelled label="Seconds">
          <Typed label="Seconds" value={String(way.after)} onSave={save} />
        </Labelled>
        <Labelled label="Counted from">
          <Select
            aria-label="Counted from"
            value={way.since ?? 'arrival'}
            onChange={(e) => void edit(put(entities, [...path, 'since'], e.target.value))}
          >
            <option value="arrival">arriving here</option>
            <option value="touch">the last touch, key or pointer move</option>
          </Select>
        </Labelled>
      </>
    );
  },
};
