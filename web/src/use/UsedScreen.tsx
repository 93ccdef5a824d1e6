import { useEffect, useMemo, useState } from 'react';
import type { Given, KeptDraft, PressRequest, PressResult, Shown, ThenPress, Title, View } from '../api/client';
import { type ScreenHands, ScreenProvider } from '../screen/context';
import { RailedSheet } from '../screen/RailedSheet';
import { useDrawers } from '../screen/rails/useDrawers';
import type { Arrangement, Pressed } from '../trail/asking';
import { browserHands } from '../trail/browser';
import { calls } from '../trail/calls';
import { depthOf, layerOf } from '../trail/shown';
import type { Trail } from '../trail/Trail';
import { later } from '../ui/later';
import { useSteady } from '../ui/useSteady';
import { DraftNotes } from './draft/DraftNotes';
import { useDraft } from './draft/useDraft';
import { useDraftHands } from './draft/useDraftHands';
import { type Unsaved, useKeptUnsaved } from './draft/useUnsaved';
import { FormKeys } from './FormKeys';
import type { UsedRecorder } from './recording/useUsedRecorder';
import { Said } from './Said';
import { useComeBack } from './useComeBack';
import { useLooks } from './useLooks';
import { usePress } from './usePress';
import { useShowing } from './useShowing';
import { useSpot } from './useSpot';
import { useWays } from './useWays';
import { useWork } from './useWork';

const QuestionDialog = later(async () => (await import('./question/QuestionDialog')).QuestionDialog);

interface UsedScreenProps {
  project: string;
  trail: Trail;
  shown: Shown;
  view: View;
  depth: number; // 0: the place itself; else the dialog or drawer over it
  draft: KeptDraft | undefined;
  others: KeptDraft[];
  unsaved: Unsaved;
  given: Given | undefined;
  onGiven: (given: Given | undefined) => void;
  then: ThenPress | undefined; // the press that follows on a dialog that came back
  onThen: (then: ThenPress | undefined) => void;
  onPressed: (element: string) => void;
  recorder: UsedRecorder;
  headingRef?: React.Ref<HTMLHeadingElement>;
}

/** One screen in use: what is typed on it, its presses, and the questions they ask. */
export function UsedScreen(props: UsedScreenProps) {
  const { project, trail, shown, view, depth, unsaved } = props;
  const at = useMemo(() => ({ trail: shown.trail, n: shown.n, depth }), [shown.trail, shown.n, depth]);
  const call = useMemo(() => calls(project, at), [project, at]);
  const [titles, setTitles] = useState<Record<string, Title>>({});
  const [adding, setAdding] = useState<string>();
  const { draft, values, taken } = useDraft(view, props.draft, call, at, () => void trail.refresh());
  const looks = useLooks(call, view, (changed) => trail.replace(depth, changed));
  const drawers = useDrawers();
  const browser = useMemo(() => browserHands(project, call.saveList, drawers.put), [project, call, drawers.put]);

  const onResult = (result: PressResult, request: PressRequest) => {
    props.recorder.onPressed(request, view.place, result);
    const next = result.shown && layerOf(result.shown, depth)?.view;
    if (result.forgot) {
      draft.settle();
      if (next && next.screen === view.screen) draft.restart(next);
    }
    if (result.forgot || result.kind === 'moved') unsaved.register(depth, undefined);
    setAdding(result.choose?.adding ? result.choose.list : undefined);
    if (result.given) props.onGiven(result.given);
    if (result.then) props.onThen(result.then);
  };
  const { press, busy, asked, errors, said } = usePress({
    ...browser,
    depth,
    shown: () => trail.state.shown,
    form: draft.form,
    chosen: looks.chosen,
    onSend: () => Promise.all([draft.flush(), looks.flush()]),
    onResult,
    post: call.press,
    postLast: call.pressLast,
    hold: trail.hold,
    insist: trail.insist,
    show: trail.show,
    fail: trail.fail,
    reload: trail.reload,
    refresh: trail.refresh,
  });
  const asks = asked !== undefined;
  useEffect(() => trail.ask(`screen ${depth}`, asks), [trail, depth, asks]);
  useEffect(() => trail.keeps(draft.flush), [trail, draft]);
  useComeBack({ ...props, press, type: draft.type, onTitle: (f, t) => setTitles((old) => ({ ...old, [f]: t })) });
  useKeptUnsaved({ unsaved, depth, shown, draft });
  useSpot(view.place.spot, `${shown.trail}.${shown.n}.${depth}`);
  useWays({
    view,
    place: `${shown.trail}.${shown.n}.${view.screen}`,
    active: depth === depthOf(shown),
    press: press.press,
    onLeft: (way) => void press.left(at, way, shown.release),
  });
  const showing = useShowing(trail, press);
  const drafts = useDraftHands({ draft, depth, call, showing });
  const onAddParent = useSteady((f: string) => void showing(() => call.addParent(f)));
  const onPress = useSteady<Parameters<ScreenHands['onPress']>, Promise<Pressed>>((element, aim) => {
    props.onPressed(element.id);
    return press.press(element, aim);
  });
  const onArrange = useSteady((change: Arrangement) => {
    props.recorder.onArranged({ ...view.place, ...change, tabs: change.tabs ?? view.place.tabs });
    void showing(() => call.arrange(change));
  });
  const work = useWork({
    call,
    files: shown.display?.files ?? true,
    keepLook: looks.keep,
    titles,
    adding,
    setAdding,
    onAddParent,
    press,
    screen: view.screen,
  });
  const hands = useMemo(
    (): ScreenHands => ({
      base: `/use/${project}`,
      pictures: `/api/project-pictures/${project}/`,
      onType: draft.type,
      onPress,
      onArrange,
      more: call.more,
      titles: call.titles,
      trend: call.trend,
      drawers,
      work,
    }),
    [project, draft, onPress, onArrange, call, drawers, work],
  );
  const typed = useMemo(() => ({ values, errors }), [values, errors]);
  return (
    <ScreenProvider view={view} hands={hands} typed={typed} busy={busy}>
      <DraftNotes draft={draft.found} others={props.others} dirty={draft.dirty} taken={taken} {...drafts} />
      <FormKeys dirty={draft.dirty} leave={(go) => unsaved.leave(depth, go)}>
        <RailedSheet rails={depth === 0 ? view.rails : undefined} headingRef={props.headingRef} />
      </FormKeys>
      {said && <Said said={said} onDismiss={() => press.say(undefined)} />}
      {asked && (
        <QuestionDialog
          question={asked.question}
          onAnswer={press.answer}
          onClose={press.dismiss}
          keeps={view.mode === 'edit' || view.mode === 'add'}
          titles={call.titles}
        />
      )}
    </ScreenProvider>
  );
}
