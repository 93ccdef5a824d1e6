// Made from schema/document.schema.json, by npm run types.

/**
 * One binding, of any kind.
 */
export type Binding =
  | ChildBinding
  | ExpressionBinding
  | StepBinding
  | InputBinding
  | ParentBinding
  | PickedBinding
  | PointBinding
  | ResultBinding
  | RowBinding
  | SavedBinding
  | ThisBinding
  | UserBinding
  | ValueBinding;
/**
 * One effect, of any kind.
 */
export type Effect =
  | AddEffect
  | AddRowEffect
  | ClearEffect
  | DeleteEffect
  | DrawerEffect
  | ExportEffect
  | FilterEffect
  | FindEffect
  | PrintEffect
  | RefreshEffect
  | SaveEffect
  | SetEffect
  | SetVariableEffect
  | SortEffect
  | TabEffect
  | WriteEffect;
/**
 * One move, of any kind.
 */
export type Move =
  | AddressMove
  | AlongMove
  | TrailMove
  | ChoiceMove
  | CloseMove
  | ProjectMove
  | ScreenMove
  | StepMove
  | TaskMove
  | UpMove;
/**
 * One element, of any kind.
 */
export type Element =
  | ButtonElement
  | ChartElement
  | ClipElement
  | FieldElement
  | FigureElement
  | GaugeElement
  | GroupElement
  | ImageElement
  | LampElement
  | ListElement
  | SitePlanElement
  | StepsElement
  | SymbolElement
  | TabsElement
  | TasksElement
  | TextElement
  | TotalElement
  | TrendElement;
/**
 * One entity of a project.
 */
export type Entity =
  | Acceptance
  | CallUp
  | Clip
  | Condition
  | Equipment
  | Expectation
  | SharedGate
  | Grant
  | Picture
  | Settings
  | Rail
  | Role
  | Screen
  | Source
  | Table
  | PlantTag
  | Variable
  | Walk;
/**
 * One way, of any kind.
 */
export type Way = EnteredWay | KeysWay | LeftWay | SwipeWay | TimeWay;

/**
 * A project: its entities by id.
 */
export interface Document {
  [k: string]: Entity;
}
/**
 * Acceptance is a finding that somebody lives with, and why.
 */
export interface Acceptance {
  kind: 'acceptance';
  pos: number;
  check: string;
  screen?: string;
  entity?: string;
  element?: string;
  trigger?: string;
  /**
   * What the check said
   */
  words: string;
  /**
   * What that rests on
   */
  evidence?: string;
  because: string;
  /**
   * Name of who accepted it
   */
  by: string;
  /**
   * When
   */
  at: string;
}
/**
 * Add makes a record of a table without a form.
 */
export interface AddEffect {
  kind: 'add';
  pos: number;
  table: string;
  /**
   * Field id → expression
   */
  fields?: {
    [k: string]: string;
  };
}
/**
 * AddRow begins a new row in a list that is edited in place.
 */
export interface AddRowEffect {
  kind: 'addRow';
  pos: number;
  /**
   * Element
   */
  list: string;
}
/**
 * Address leads to a web address, made by a URI Template (RFC 6570).
 */
export interface AddressMove {
  kind: 'address';
  /**
   * Of what opens a screen: view (default), edit, add
   */
  mode?: 'view' | 'edit' | 'add';
  /**
   * Full (default), dialog, drawer, replace, tab
   */
  as?: 'full' | 'dialog' | 'drawer' | 'replace' | 'tab';
  /**
   * Where there is none to go to: grey (default), stay; of steps also round
   */
  none?: 'grey' | 'round' | 'stay';
  /**
   * Of none: the words
   */
  reason?: string;
  back?: Gate;
  address: string;
  /**
   * Variable → expression
   */
  with?: {
    [k: string]: string;
  };
}
/**
 * Gate is a named piece of wiring: for whom, while what holds, what is done, where one is moved.
 */
export interface Gate {
  /**
   * Shared gate
   */
  use?: string;
  /**
   * Input of the shared gate → how it gets its value
   */
  give?: {
    [k: string]: Binding;
  };
  /**
   * Absent: everyone
   */
  roles?: {
    [k: string]: boolean;
  };
  /**
   * Condition
   */
  while?: string;
  otherwise?: Otherwise;
  /**
   * Ask (default), save, keep (as a draft), drop
   */
  unsaved?: 'ask' | 'save' | 'keep' | 'drop';
  /**
   * Template: the question put before
   */
  confirm?: string;
  cases?: {
    [k: string]: Case;
  };
}
/**
 * Child is the first, last or nearest of the records that name another: this cabin's last inspection.
 */
export interface ChildBinding {
  rule: 'child';
  /**
   * What if there is none: grey (default), list, add, stay; of next and previous also round
   */
  none?: 'grey' | 'list' | 'add' | 'stay' | 'round';
  /**
   * Of none list: the screen opened instead
   */
  screen?: string;
  /**
   * Of none grey and stay: the words
   */
  reason?: string;
  /**
   * Of the record that is found
   */
  table: string;
  /**
   * Its field that names the other
   */
  path: string;
  /**
   * Record (default), row, or the id of an input that is a record
   */
  from?: string;
  /**
   * First, last (default), nearest (to now)
   */
  pick?: 'first' | 'last' | 'nearest';
  /**
   * Path it is the first or last by; empty: the table's own order
   */
  order?: string;
  /**
   * Of those that meet this condition, over record and user
   */
  while?: string;
}
/**
 * Expression works the value out.
 */
export interface ExpressionBinding {
  rule: 'expression';
  /**
   * What if there is none: grey (default), list, add, stay; of next and previous also round
   */
  none?: 'grey' | 'list' | 'add' | 'stay' | 'round';
  /**
   * Of none list: the screen opened instead
   */
  screen?: string;
  /**
   * Of none grey and stay: the words
   */
  reason?: string;
  value?: string;
}
/**
 * Step is a neighbour of the screen's record in the list come from, for another screen to open: the rules first, previous, next and last.
 */
export interface StepBinding {
  rule: 'first' | 'last' | 'next' | 'previous';
  /**
   * What if there is none: grey (default), list, add, stay; of next and previous also round
   */
  none?: 'grey' | 'list' | 'add' | 'stay' | 'round';
  /**
   * Of none list: the screen opened instead
   */
  screen?: string;
  /**
   * Of none grey and stay: the words
   */
  reason?: string;
}
/**
 * Input passes on what the screen, or the shared gate, was given.
 */
export interface InputBinding {
  rule: 'input';
  /**
   * What if there is none: grey (default), list, add, stay; of next and previous also round
   */
  none?: 'grey' | 'list' | 'add' | 'stay' | 'round';
  /**
   * Of none list: the screen opened instead
   */
  screen?: string;
  /**
   * Of none grey and stay: the words
   */
  reason?: string;
  /**
   * Input
   */
  value?: string;
}
/**
 * Parent follows relations from the screen's record, the chosen row or a given record.
 */
export interface ParentBinding {
  rule: 'parent';
  /**
   * What if there is none: grey (default), list, add, stay; of next and previous also round
   */
  none?: 'grey' | 'list' | 'add' | 'stay' | 'round';
  /**
   * Of none list: the screen opened instead
   */
  screen?: string;
  /**
   * Of none grey and stay: the words
   */
  reason?: string;
  /**
   * Relation ids joined by dots, from the record
   */
  path?: string;
  /**
   * Record (default), row, or the id of an input that is a record
   */
  from?: string;
}
/**
 * Picked asks the user for a record.
 */
export interface PickedBinding {
  rule: 'picked';
  /**
   * What if there is none: grey (default), list, add, stay; of next and previous also round
   */
  none?: 'grey' | 'list' | 'add' | 'stay' | 'round';
  /**
   * Of none list: the screen opened instead
   */
  screen?: string;
  /**
   * Of none grey and stay: the words
   */
  reason?: string;
  table?: string;
}
/**
 * Point is what the chosen point of a chart stands for: its value, or the end of its span of time or its range.
 */
export interface PointBinding {
  rule: 'point';
  /**
   * What if there is none: grey (default), list, add, stay; of next and previous also round
   */
  none?: 'grey' | 'list' | 'add' | 'stay' | 'round';
  /**
   * Of none list: the screen opened instead
   */
  screen?: string;
  /**
   * Of none grey and stay: the words
   */
  reason?: string;
  /**
   * End: of a span of time or a range
   */
  value?: string;
}
/**
 * Result is what the dialog came back with.
 */
export interface ResultBinding {
  rule: 'result';
  /**
   * What if there is none: grey (default), list, add, stay; of next and previous also round
   */
  none?: 'grey' | 'list' | 'add' | 'stay' | 'round';
  /**
   * Of none list: the screen opened instead
   */
  screen?: string;
  /**
   * Of none grey and stay: the words
   */
  reason?: string;
}
/**
 * Row is the row that was clicked.
 */
export interface RowBinding {
  rule: 'row';
  /**
   * What if there is none: grey (default), list, add, stay; of next and previous also round
   */
  none?: 'grey' | 'list' | 'add' | 'stay' | 'round';
  /**
   * Of none list: the screen opened instead
   */
  screen?: string;
  /**
   * Of none grey and stay: the words
   */
  reason?: string;
}
/**
 * Saved is the record that this press saved on the screen, or added to a table.
 */
export interface SavedBinding {
  rule: 'saved';
  /**
   * What if there is none: grey (default), list, add, stay; of next and previous also round
   */
  none?: 'grey' | 'list' | 'add' | 'stay' | 'round';
  /**
   * Of none list: the screen opened instead
   */
  screen?: string;
  /**
   * Of none grey and stay: the words
   */
  reason?: string;
  /**
   * The table that the same press adds to
   */
  table?: string;
}
/**
 * This is the screen's own record.
 */
export interface ThisBinding {
  rule: 'this';
  /**
   * What if there is none: grey (default), list, add, stay; of next and previous also round
   */
  none?: 'grey' | 'list' | 'add' | 'stay' | 'round';
  /**
   * Of none list: the screen opened instead
   */
  screen?: string;
  /**
   * Of none grey and stay: the words
   */
  reason?: string;
}
/**
 * User is the user's own record.
 */
export interface UserBinding {
  rule: 'user';
  /**
   * What if there is none: grey (default), list, add, stay; of next and previous also round
   */
  none?: 'grey' | 'list' | 'add' | 'stay' | 'round';
  /**
   * Of none list: the screen opened instead
   */
  screen?: string;
  /**
   * Of none grey and stay: the words
   */
  reason?: string;
}
/**
 * Value is always the same value.
 */
export interface ValueBinding {
  rule: 'value';
  /**
   * What if there is none: grey (default), list, add, stay; of next and previous also round
   */
  none?: 'grey' | 'list' | 'add' | 'stay' | 'round';
  /**
   * Of none list: the screen opened instead
   */
  screen?: string;
  /**
   * Of none grey and stay: the words
   */
  reason?: string;
  /**
   * As the wire writes it
   */
  value?: string;
}
/**
 * Otherwise is what shows while the condition fails.
 */
export interface Otherwise {
  /**
   * The reason; empty: hidden
   */
  grey?: string;
}
/**
 * Case is what is done when its condition is the first that holds.
 */
export interface Case {
  pos: number;
  when?: string;
  do?: {
    [k: string]: Effect;
  };
  move?: Move;
}
/**
 * Clear takes filters away: that of a field, or all; with All also what the screen was opened with and what is looked for.
 */
export interface ClearEffect {
  kind: 'clear';
  pos: number;
  /**
   * Empty: every filter
   */
  path?: string;
  all?: boolean;
}
/**
 * Delete removes the screen's record, or the chosen row of one of its lists.
 */
export interface DeleteEffect {
  kind: 'delete';
  pos: number;
  /**
   * Element; empty: the screen's record
   */
  list?: string;
}
/**
 * Drawer opens or closes a rail that is a drawer, or whichever of the two it is not.
 */
export interface DrawerEffect {
  kind: 'drawer';
  pos: number;
  rail: string;
  /**
   * Open, close, toggle
   */
  how: 'open' | 'close' | 'toggle';
}
/**
 * Export saves a list as a file: comma-separated values, as filtered and ordered.
 */
export interface ExportEffect {
  kind: 'export';
  pos: number;
  /**
   * Element
   */
  list: string;
}
/**
 * Filter adds a filter to the screen's list, or replaces the one on that field.
 */
export interface FilterEffect {
  kind: 'filter';
  pos: number;
  /**
   * Field ids joined by dots, of the list's table
   */
  path: string;
  compare: string;
  /**
   * Expression
   */
  value?: string;
}
/**
 * Find looks for words in the screen's list.
 */
export interface FindEffect {
  kind: 'find';
  pos: number;
  /**
   * Expression; empty text looks for nothing
   */
  words: string;
}
/**
 * Print puts the screen on paper.
 */
export interface PrintEffect {
  kind: 'print';
  pos: number;
}
/**
 * Refresh reads again what the screen shows.
 */
export interface RefreshEffect {
  kind: 'refresh';
  pos: number;
}
/**
 * Save keeps what was typed on the form.
 */
export interface SaveEffect {
  kind: 'save';
  pos: number;
}
/**
 * Set gives fields of the screen's record new values, and saves them.
 */
export interface SetEffect {
  kind: 'set';
  pos: number;
  /**
   * Field id → expression
   */
  fields: {
    [k: string]: string;
  };
}
/**
 * SetVariable gives a variable another value, or, with an empty one, what it begins with.
 */
export interface SetVariableEffect {
  kind: 'setVar';
  pos: number;
  variable: string;
  /**
   * Expression; empty: what it begins with
   */
  value?: string;
}
/**
 * Sort orders the screen's list.
 */
export interface SortEffect {
  kind: 'sort';
  pos: number;
  path: string;
  desc?: boolean;
}
/**
 * Tab opens a tab of a block of tabs.
 */
export interface TabEffect {
  kind: 'tab';
  pos: number;
  /**
   * Element
   */
  block: string;
  tab: string;
}
/**
 * Write sends a value to a tag of the plant: one that is worked out, or one that follows from what is read back.
 */
export interface WriteEffect {
  kind: 'write';
  pos: number;
  /**
   * Expression: the path of a writable tag
   */
  tag: string;
  /**
   * Turn: the other of yes and no; up, down: by so much; hold: yes as long as the button is held; choose: one of the options; none: the value
   */
  how?: 'turn' | 'up' | 'down' | 'hold' | 'choose';
  /**
   * Expression: the value, or how much
   */
  value?: string;
  options?: {
    [k: string]: Option;
  };
}
/**
 * Option is one of the values that a tag is given to choose from.
 */
export interface Option {
  pos: number;
  /**
   * As the wire writes it
   */
  value: string;
  words: string;
}
/**
 * Along leads to the neighbour of this screen in the order of a rail.
 */
export interface AlongMove {
  kind: 'along';
  /**
   * Of what opens a screen: view (default), edit, add
   */
  mode?: 'view' | 'edit' | 'add';
  /**
   * Full (default), dialog, drawer, replace, tab
   */
  as?: 'full' | 'dialog' | 'drawer' | 'replace' | 'tab';
  /**
   * Where there is none to go to: grey (default), stay; of steps also round
   */
  none?: 'grey' | 'round' | 'stay';
  /**
   * Of none: the words
   */
  reason?: string;
  back?: Gate;
  /**
   * Previous, next
   */
  step: 'previous' | 'next';
  rail: string;
}
/**
 * Trail leads along the trail, or out of it: where to is known to the trail alone.
 */
export interface TrailMove {
  kind: 'back' | 'forward' | 'home' | 'out';
  /**
   * Of what opens a screen: view (default), edit, add
   */
  mode?: 'view' | 'edit' | 'add';
  /**
   * Full (default), dialog, drawer, replace, tab
   */
  as?: 'full' | 'dialog' | 'drawer' | 'replace' | 'tab';
  /**
   * Where there is none to go to: grey (default), stay; of steps also round
   */
  none?: 'grey' | 'round' | 'stay';
  /**
   * Of none: the words
   */
  reason?: string;
  back?: Gate;
}
/**
 * Choice opens one of a named set of screens, by what an expression comes to.
 */
export interface ChoiceMove {
  kind: 'choice';
  /**
   * Of what opens a screen: view (default), edit, add
   */
  mode?: 'view' | 'edit' | 'add';
  /**
   * Full (default), dialog, drawer, replace, tab
   */
  as?: 'full' | 'dialog' | 'drawer' | 'replace' | 'tab';
  /**
   * Where there is none to go to: grey (default), stay; of steps also round
   */
  none?: 'grey' | 'round' | 'stay';
  /**
   * Of none: the words
   */
  reason?: string;
  back?: Gate;
  by: string;
  among: {
    [k: string]: Target;
  };
}
/**
 * Target is one screen that a move chooses from, with what it brings there.
 */
export interface Target {
  pos: number;
  /**
   * The value, as the wire writes it; empty: any other
   */
  is?: string;
  /**
   * Screen
   */
  target: string;
  bind?: {
    [k: string]: Binding;
  };
}
/**
 * Close closes a dialog or drawer, and may say what it comes back with.
 */
export interface CloseMove {
  kind: 'close';
  /**
   * Of what opens a screen: view (default), edit, add
   */
  mode?: 'view' | 'edit' | 'add';
  /**
   * Full (default), dialog, drawer, replace, tab
   */
  as?: 'full' | 'dialog' | 'drawer' | 'replace' | 'tab';
  /**
   * Where there is none to go to: grey (default), stay; of steps also round
   */
  none?: 'grey' | 'round' | 'stay';
  /**
   * Of none: the words
   */
  reason?: string;
  back?: Gate;
  result?: Binding;
}
/**
 * Project opens a screen that another project offers.
 */
export interface ProjectMove {
  kind: 'project';
  /**
   * Of what opens a screen: view (default), edit, add
   */
  mode?: 'view' | 'edit' | 'add';
  /**
   * Full (default), dialog, drawer, replace, tab
   */
  as?: 'full' | 'dialog' | 'drawer' | 'replace' | 'tab';
  /**
   * Where there is none to go to: grey (default), stay; of steps also round
   */
  none?: 'grey' | 'round' | 'stay';
  /**
   * Of none: the words
   */
  reason?: string;
  back?: Gate;
  /**
   * Slug
   */
  project: string;
  /**
   * Slug of the screen
   */
  entry: string;
  /**
   * Input → expression
   */
  with?: {
    [k: string]: string;
  };
}
/**
 * Screen opens a screen of this project.
 */
export interface ScreenMove {
  kind: 'screen';
  /**
   * Of what opens a screen: view (default), edit, add
   */
  mode?: 'view' | 'edit' | 'add';
  /**
   * Full (default), dialog, drawer, replace, tab
   */
  as?: 'full' | 'dialog' | 'drawer' | 'replace' | 'tab';
  /**
   * Where there is none to go to: grey (default), stay; of steps also round
   */
  none?: 'grey' | 'round' | 'stay';
  /**
   * Of none: the words
   */
  reason?: string;
  back?: Gate;
  /**
   * Screen
   */
  target: string;
  /**
   * Input of the target → how it gets its value
   */
  bind?: {
    [k: string]: Binding;
  };
  carry?: Carry;
  /**
   * Mode add: field id → expression
   */
  set?: {
    [k: string]: string;
  };
  /**
   * Element of the target that one is led to, or element.tab
   */
  spot?: string;
  spotRow?: Binding;
  arrive?: Arrive;
}
/**
 * Carry passes on what this screen was given, to inputs of the target with the same name and type.
 */
export interface Carry {
  /**
   * Whatever the target takes, also inputs that it gets later
   */
  all?: boolean;
  /**
   * Inputs of the target
   */
  names?: {
    [k: string]: boolean;
  };
}
/**
 * Arrive is what is set on the target when one gets there.
 */
export interface Arrive {
  filters?: {
    [k: string]: ArriveFilter;
  };
  sort?: {
    [k: string]: Order;
  };
}
/**
 * ArriveFilter is one filter of the target's list.
 */
export interface ArriveFilter {
  pos: number;
  path: string;
  compare: string;
  value?: string;
}
/**
 * Order is one part of a sort order.
 */
export interface Order {
  pos: number;
  /**
   * Field ids joined by dots
   */
  path: string;
  desc?: boolean;
}
/**
 * Step leads along a list: to the neighbour of the screen's record, or of a list's chosen row.
 */
export interface StepMove {
  kind: 'step';
  /**
   * Of what opens a screen: view (default), edit, add
   */
  mode?: 'view' | 'edit' | 'add';
  /**
   * Full (default), dialog, drawer, replace, tab
   */
  as?: 'full' | 'dialog' | 'drawer' | 'replace' | 'tab';
  /**
   * Where there is none to go to: grey (default), stay; of steps also round
   */
  none?: 'grey' | 'round' | 'stay';
  /**
   * Of none: the words
   */
  reason?: string;
  back?: Gate;
  /**
   * First, previous, next, last
   */
  step: 'first' | 'previous' | 'next' | 'last';
  /**
   * A list of the screen, whose chosen row steps; empty: the screen's record
   */
  list?: string;
}
/**
 * Task leads to the next step of the guided task on the screen, or back to the one before; what was typed comes along.
 */
export interface TaskMove {
  kind: 'task';
  /**
   * Of what opens a screen: view (default), edit, add
   */
  mode?: 'view' | 'edit' | 'add';
  /**
   * Full (default), dialog, drawer, replace, tab
   */
  as?: 'full' | 'dialog' | 'drawer' | 'replace' | 'tab';
  /**
   * Where there is none to go to: grey (default), stay; of steps also round
   */
  none?: 'grey' | 'round' | 'stay';
  /**
   * Of none: the words
   */
  reason?: string;
  back?: Gate;
  to: 'next' | 'back' | 'leave';
}
/**
 * Up leads to what the screen says is up from it; without that home.
 */
export interface UpMove {
  kind: 'up';
  /**
   * Of what opens a screen: view (default), edit, add
   */
  mode?: 'view' | 'edit' | 'add';
  /**
   * Full (default), dialog, drawer, replace, tab
   */
  as?: 'full' | 'dialog' | 'drawer' | 'replace' | 'tab';
  /**
   * Where there is none to go to: grey (default), stay; of steps also round
   */
  none?: 'grey' | 'round' | 'stay';
  /**
   * Of none: the words
   */
  reason?: string;
  back?: Gate;
}
/**
 * Button is pressed; its gate says what follows.
 */
export interface ButtonElement {
  kind: 'button';
  pos: number;
  cell: Cell;
  /**
   * Condition; empty: always
   */
  shown?: string;
  /**
   * View, edit, add: where it is; absent: everywhere
   */
  modes?: {
    [k: string]: boolean;
  };
  /**
   * Element id and tab id, joined by a dot: it shows while that tab is open; empty: always
   */
  tab?: string;
  /**
   * Template
   */
  words: string;
  icon?: string;
  /**
   * Plain (default), main, strong, sign
   */
  tone?: string;
  /**
   * In the stead of the tone's ground, as project.ValidColour has it
   */
  colour?: string;
  /**
   * Template: a line under the words, on signs
   */
  note?: string;
  /**
   * Release (default), press
   */
  trigger?: 'release' | 'press';
  /**
   * Template: shown while it is pointed at
   */
  tip?: string;
  /**
   * Shortcut, as in Ctrl+E
   */
  keys?: string;
  /**
   * Picture of the project
   */
  picture?: string;
  /**
   * Below which width it is behind “more”; as usual, if none is said
   */
  fold?: 'narrow' | 'middle' | 'never';
  gate?: Gate;
  down?: Gate;
  /**
   * How it looks in one condition or state
   */
  faces?: {
    [k: string]: Face;
  };
}
/**
 * Cell is the place on the screen's grid: twelve columns, rows of even height from 1.
 */
export interface Cell {
  row: number;
  col: number;
  w: number;
  h?: number;
}
/**
 * Face is how a button looks in one condition: the first whose condition holds is shown.
 */
export interface Face {
  pos: number;
  /**
   * Condition
   */
  when?: string;
  /**
   * Hover, pressed, greyed, focus; on, off, unknown: of what is turned on and off; empty: normal
   */
  state?: string;
  /**
   * Template; empty: the button's own
   */
  words?: string;
  icon?: string;
  picture?: string;
  tone?: string;
  /**
   * In the stead of the tone's ground, as project.ValidColour has it
   */
  colour?: string;
}
/**
 * ButtonStyle is how all buttons are drawn that look one way.
 */
export interface ButtonStyle {
  /**
   * As ValidColour has it
   */
  colour: string;
  /**
   * Filled, if none is said
   */
  drawn?: 'filled' | 'outlined';
}
/**
 * CallUp brings a screen to the front while a condition of the plant holds: “while gusts exceed 15 m/s for 5 s, Wind watch comes to the front for operators, from everywhere but the drive room”.
 */
export interface CallUp {
  kind: 'callUp';
  pos: number;
  /**
   * Strong gusts
   */
  name: string;
  /**
   * Template: what it says of the record; none: its name
   */
  words?: string;
  /**
   * It is asked of each of these records; none: of the plant as a whole
   */
  table?: string;
  /**
   * Condition
   */
  while: string;
  /**
   * Seconds that it has to hold before the screen comes to the front
   */
  for?: number;
  /**
   * Which comes
   */
  screen: string;
  /**
   * Of the screen, that gets the record; none: it gets nothing
   */
  input?: string;
  /**
   * For whom; none: for everybody who may be there
   */
  roles?: {
    [k: string]: boolean;
  };
  /**
   * From these screens alone
   */
  only?: {
    [k: string]: boolean;
  };
  /**
   * From everywhere but these
   */
  not?: {
    [k: string]: boolean;
  };
  /**
   * High: also over a question that waits for an answer
   */
  priority?: 'high';
}
/**
 * Chart counts or sums records by one field.
 */
export interface ChartElement {
  kind: 'chart';
  pos: number;
  cell: Cell;
  /**
   * Condition; empty: always
   */
  shown?: string;
  /**
   * View, edit, add: where it is; absent: everywhere
   */
  modes?: {
    [k: string]: boolean;
  };
  /**
   * Element id and tab id, joined by a dot: it shows while that tab is open; empty: always
   */
  tab?: string;
  table: string;
  /**
   * Path of the field that the points are made by
   */
  by: string;
  /**
   * Of a date or moment
   */
  span?: 'day' | 'week' | 'month' | 'quarter' | 'year';
  /**
   * Of a number: how wide the ranges are that it is counted by
   */
  step?: number;
  label?: string;
  /**
   * Count (default), sum, mean, most, least
   */
  measure?: 'count' | 'sum' | 'mean' | 'most' | 'least';
  /**
   * Of the others than count: the field
   */
  of?: string;
  /**
   * Path: each bar is divided by it
   */
  split?: string;
  /**
   * Of a date or moment: how it is cut
   */
  splitSpan?: 'day' | 'week' | 'month' | 'quarter' | 'year';
  /**
   * How it is drawn; bars (default), along time columns
   */
  shape?: 'bars' | 'columns' | 'line' | 'area' | 'share' | 'grid' | 'dots' | 'table';
  against?: Measured;
  size?: Measured;
  /**
   * Of spans of time: also what it was a year before
   */
  before?: boolean;
  /**
   * What is beyond the points is one more
   */
  rest?: boolean;
  /**
   * At most; default 12
   */
  points?: number;
  chosen?: Gate;
  /**
   * What a point's menu offers
   */
  menu?: {
    [k: string]: Entry;
  };
}
/**
 * Measured is a further measure of the points of a chart.
 */
export interface Measured {
  /**
   * Count (default), sum, mean, most, least
   */
  measure?: 'count' | 'sum' | 'mean' | 'most' | 'least';
  /**
   * Of the others than count: the field
   */
  of?: string;
}
/**
 * Entry is one line of the menu of a row or a point.
 */
export interface Entry {
  pos: number;
  words: string;
  gate: Gate;
}
/**
 * Clip is a short film that screens play.
 */
export interface Clip {
  kind: 'clip';
  name: string;
  /**
   * What it shows, for who cannot see it
   */
  words?: string;
  /**
   * SHA-256 of its bytes, in hexadecimal
   */
  digest: string;
}
/**
 * Clip plays a clip of the project on a screen.
 */
export interface ClipElement {
  kind: 'clip';
  pos: number;
  cell: Cell;
  /**
   * Condition; empty: always
   */
  shown?: string;
  /**
   * View, edit, add: where it is; absent: everywhere
   */
  modes?: {
    [k: string]: boolean;
  };
  /**
   * Element id and tab id, joined by a dot: it shows while that tab is open; empty: always
   */
  tab?: string;
  clip: string;
  /**
   * Pressed (default), itself
   */
  starts?: 'pressed' | 'itself';
  /**
   * It never ends
   */
  again?: boolean;
  /**
   * Without its sound
   */
  silent?: boolean;
  /**
   * Without anything to stop or move it by
   */
  bare?: boolean;
  ended?: Gate;
}
/**
 * Colour is one of a project's palette, by day and by night, as #rrggbb; "" for the usual one.
 */
export interface Colour {
  light?: string;
  dark?: string;
}
/**
 * Column is one field of a table.
 */
export interface Column {
  pos: number;
  /**
   * Its name in the database
   */
  column: string;
  /**
   * The database's own for the column, which stays when it is renamed there; 0: not known
   */
  number?: number;
  /**
   * As expressions write it
   */
  alias: string;
  label: string;
  /**
   * Yesno, whole, number, decimal, text, json (shown, not edited), picture (bytes), date, moment, record
   */
  type: string;
  long?: boolean;
  /**
   * In order of rank
   */
  choices?: string[];
  /**
   * The choices are grades: shown with a mark that fills with the rank
   */
  graded?: boolean;
  unit?: string;
  nullable?: boolean;
  /**
   * Of a number: the least it may be
   */
  min?: number;
  /**
   * Of a number: the most
   */
  max?: number;
  /**
   * Of a text: characters at most
   */
  longest?: number;
  /**
   * Of a text: a regular expression that all of it must fit
   */
  pattern?: string;
  /**
   * Of a pattern: a text that fits, shown where one does not
   */
  example?: string;
  /**
   * What the database fills in when nothing is given, in words
   */
  default?: string;
  /**
   * Never kept in drafts
   */
  secret?: boolean;
  /**
   * Of a record: the table
   */
  references?: string;
  /**
   * Of a record: what these records are to that one, in the plural: its open defects
   */
  back?: string;
  /**
   * Made by the database
   */
  readOnly?: boolean;
}
/**
 * Condition is a condition with a name, shared by many.
 */
export interface Condition {
  kind: 'condition';
  pos: number;
  /**
   * In service and mine
   */
  name: string;
  /**
   * In_service_and_mine
   */
  alias: string;
  /**
   * Whose records it speaks of; empty: of the user alone
   */
  table?: string;
  text: string;
}
/**
 * Field shows, and on a form in edit mode edits, one field of the screen's record.
 */
export interface FieldElement {
  kind: 'field';
  pos: number;
  cell: Cell;
  /**
   * Condition; empty: always
   */
  shown?: string;
  /**
   * View, edit, add: where it is; absent: everywhere
   */
  modes?: {
    [k: string]: boolean;
  };
  /**
   * Element id and tab id, joined by a dot: it shows while that tab is open; empty: always
   */
  tab?: string;
  /**
   * Field ids joined by dots
   */
  path: string;
  label?: string;
  readOnly?: boolean;
  gate?: Gate;
  changed?: Gate;
  /**
   * What to type, below the field while it is edited
   */
  hint?: string;
  /**
   * Of its label; beside while viewed and above while edited, if none is said
   */
  place?: 'above' | 'beside';
  /**
   * How its value is written while viewed, of cond.Formats; as usual, if none is said
   */
  format?: string;
  /**
   * Expression: what a new record begins with here
   */
  default?: string;
  /**
   * Here it may not be left empty, though its table allows that
   */
  required?: boolean;
  /**
   * Of a relation: the form that a missing record can be added with, in a dialog
   */
  add?: string;
}
/**
 * Figure is a picture with live words at places on it.
 */
export interface FigureElement {
  kind: 'figure';
  pos: number;
  cell: Cell;
  /**
   * Condition; empty: always
   */
  shown?: string;
  /**
   * View, edit, add: where it is; absent: everywhere
   */
  modes?: {
    [k: string]: boolean;
  };
  /**
   * Element id and tab id, joined by a dot: it shows while that tab is open; empty: always
   */
  tab?: string;
  words?: string;
  /**
   * Id of a picture of the project
   */
  picture: string;
  marks?: {
    [k: string]: Mark;
  };
}
/**
 * Mark is a live text on a figure, at a place in hundredths of its width and height.
 */
export interface Mark {
  pos: number;
  x: number;
  y: number;
  /**
   * Template
   */
  words: string;
  /**
   * Condition
   */
  abnormal?: string;
}
/**
 * Gauge shows one live number as a bar, with the band it should be in.
 */
export interface GaugeElement {
  kind: 'gauge';
  pos: number;
  cell: Cell;
  /**
   * Condition; empty: always
   */
  shown?: string;
  /**
   * View, edit, add: where it is; absent: everywhere
   */
  modes?: {
    [k: string]: boolean;
  };
  /**
   * Element id and tab id, joined by a dot: it shows while that tab is open; empty: always
   */
  tab?: string;
  words: string;
  /**
   * Expression
   */
  value: string;
  /**
   * Expression: where it should be
   */
  set?: string;
  unit?: string;
  min: number;
  max: number;
  /**
   * None of both: the limits that its tag says
   */
  low?: number;
  high?: number;
  digits?: number;
}
/**
 * Group is a heading, with a frame around the cells below it: its own cell is heading and frame together.
 */
export interface GroupElement {
  kind: 'group';
  pos: number;
  cell: Cell;
  /**
   * Condition; empty: always
   */
  shown?: string;
  /**
   * View, edit, add: where it is; absent: everywhere
   */
  modes?: {
    [k: string]: boolean;
  };
  /**
   * Element id and tab id, joined by a dot: it shows while that tab is open; empty: always
   */
  tab?: string;
  /**
   * Template
   */
  words: string;
}
/**
 * Image shows a picture of the project on a screen.
 */
export interface ImageElement {
  kind: 'image';
  pos: number;
  cell: Cell;
  /**
   * Condition; empty: always
   */
  shown?: string;
  /**
   * View, edit, add: where it is; absent: everywhere
   */
  modes?: {
    [k: string]: boolean;
  };
  /**
   * Element id and tab id, joined by a dot: it shows while that tab is open; empty: always
   */
  tab?: string;
  picture: string;
  gate?: Gate;
}
/**
 * Lamp shows a live yes or no.
 */
export interface LampElement {
  kind: 'lamp';
  pos: number;
  cell: Cell;
  /**
   * Condition; empty: always
   */
  shown?: string;
  /**
   * View, edit, add: where it is; absent: everywhere
   */
  modes?: {
    [k: string]: boolean;
  };
  /**
   * Element id and tab id, joined by a dot: it shows while that tab is open; empty: always
   */
  tab?: string;
  words: string;
  /**
   * Condition; or a number of the plant that has limits: on while it is outside
   */
  value: string;
  on: string;
  off: string;
  /**
   * On, off: the state that is to be noticed
   */
  abnormal?: 'on' | 'off';
}
/**
 * List shows records of a table: all that the inputs let through, or the children of the screen's record.
 */
export interface ListElement {
  kind: 'list';
  pos: number;
  cell: Cell;
  /**
   * Condition; empty: always
   */
  shown?: string;
  /**
   * View, edit, add: where it is; absent: everywhere
   */
  modes?: {
    [k: string]: boolean;
  };
  /**
   * Element id and tab id, joined by a dot: it shows while that tab is open; empty: always
   */
  tab?: string;
  table: string;
  /**
   * Field of the table that names the screen's record
   */
  relation?: string;
  label?: string;
  columns: {
    [k: string]: ListColumn;
  };
  order?: {
    [k: string]: Order;
  };
  opened?: Gate;
  /**
   * On one page; default 50
   */
  rows?: number;
  /**
   * Rows are edited where they stand
   */
  inPlace?: boolean;
  /**
   * What can be done with chosen rows
   */
  several?: {
    [k: string]: Several;
  };
  /**
   * What a row's menu offers
   */
  menu?: {
    [k: string]: Entry;
  };
  /**
   * Path: rows stand under a heading for each of its values
   */
  group?: string;
  /**
   * Where it is narrow, each row is a card
   */
  cards?: boolean;
  /**
   * Of the rows
   */
  height?: 'low' | 'tall';
  faces?: {
    [k: string]: RowFace;
  };
}
/**
 * ListColumn is one column of a list.
 */
export interface ListColumn {
  pos: number;
  /**
   * Field ids joined by dots
   */
  path: string;
  label?: string;
  /**
   * Share of the width; default 1
   */
  width?: number;
  /**
   * Numbers right, all else left, if none is said
   */
  align?: 'left' | 'middle' | 'right';
  /**
   * Bar: of a number, how much it is of the most that is shown
   */
  look?: 'bar';
  /**
   * How its values are written, of cond.Formats; as usual, if none is said
   */
  format?: string;
  /**
   * At the foot, over all rows and not those that are shown
   */
  total?: 'count' | 'sum' | 'mean' | 'most' | 'least';
}
/**
 * Several is something that is done with each of the rows that were chosen, all or none.
 */
export interface Several {
  pos: number;
  words: string;
  gate: Gate;
}
/**
 * RowFace is how a row, point or symbol looks while a condition holds: the first that holds is shown, and none while that is not known.
 */
export interface RowFace {
  pos: number;
  /**
   * Condition, of a row on its record; empty: always
   */
  when?: string;
  /**
   * Plain, if none
   */
  tone?: 'good' | 'warn' | 'stop' | 'strong' | 'quiet';
  /**
   * What it means, for people; template
   */
  words?: string;
}
/**
 * SitePlan is a picture with records placed on it by two of their numbers, and fixed marks.
 */
export interface SitePlanElement {
  kind: 'sitePlan';
  pos: number;
  cell: Cell;
  /**
   * Condition; empty: always
   */
  shown?: string;
  /**
   * View, edit, add: where it is; absent: everywhere
   */
  modes?: {
    [k: string]: boolean;
  };
  /**
   * Element id and tab id, joined by a dot: it shows while that tab is open; empty: always
   */
  tab?: string;
  label?: string;
  /**
   * None: its points lie on plain ground
   */
  picture?: string;
  /**
   * Of the records; none: marks alone
   */
  table?: string;
  /**
   * Field of the table that names the screen's record
   */
  relation?: string;
  /**
   * Path of the number that says how far to the right
   */
  across?: string;
  /**
   * Path of the number that says how far down
   */
  down?: string;
  /**
   * What Across is at the left edge; 0
   */
  left?: number;
  /**
   * At the right one; 100
   */
  right?: number;
  /**
   * What Down is at the upper edge; 0
   */
  top?: number;
  /**
   * At the lower one; 100
   */
  bottom?: number;
  faces?: {
    [k: string]: RowFace;
  };
  marks?: {
    [k: string]: SiteMark;
  };
  opened?: Gate;
  /**
   * What the menu of a record's point offers
   */
  menu?: {
    [k: string]: Entry;
  };
}
/**
 * SiteMark is a fixed mark on a site plan, at a place in hundredths of the picture's width and height.
 */
export interface SiteMark {
  pos: number;
  x: number;
  y: number;
  /**
   * Template
   */
  words: string;
  gate?: Gate;
}
/**
 * Steps is a guided task: steps in order, of which the elements of the open one show.
 */
export interface StepsElement {
  kind: 'steps';
  pos: number;
  cell: Cell;
  /**
   * Condition; empty: always
   */
  shown?: string;
  /**
   * View, edit, add: where it is; absent: everywhere
   */
  modes?: {
    [k: string]: boolean;
  };
  /**
   * Element id and tab id, joined by a dot: it shows while that tab is open; empty: always
   */
  tab?: string;
  label?: string;
  steps: {
    [k: string]: Tab;
  };
  /**
   * Step → condition for being part of the task
   */
  while?: {
    [k: string]: string;
  };
}
/**
 * Tab is one tab of a block.
 */
export interface Tab {
  pos: number;
  label: string;
  opened?: Gate;
}
/**
 * Symbol stands for a thing of the plant on an operator screen: a pump, a valve, a tank.
 */
export interface SymbolElement {
  kind: 'symbol';
  pos: number;
  cell: Cell;
  /**
   * Condition; empty: always
   */
  shown?: string;
  /**
   * View, edit, add: where it is; absent: everywhere
   */
  modes?: {
    [k: string]: boolean;
  };
  /**
   * Element id and tab id, joined by a dot: it shows while that tab is open; empty: always
   */
  tab?: string;
  shape: 'motor' | 'pump' | 'fan' | 'valve' | 'tank' | 'belt' | 'door' | 'heater' | 'light' | 'brake';
  /**
   * Template
   */
  words: string;
  turn?: 0 | 90 | 180 | 270;
  faces?: {
    [k: string]: RowFace;
  };
  /**
   * Expression: how full it is
   */
  level?: string;
  /**
   * The level at which it is empty; 0
   */
  min?: number;
  /**
   * And full; 100
   */
  max?: number;
  gate?: Gate;
}
/**
 * Tabs is a block of tabs: of the elements that name one of them, those of the open tab show.
 */
export interface TabsElement {
  kind: 'tabs';
  pos: number;
  cell: Cell;
  /**
   * Condition; empty: always
   */
  shown?: string;
  /**
   * View, edit, add: where it is; absent: everywhere
   */
  modes?: {
    [k: string]: boolean;
  };
  /**
   * Element id and tab id, joined by a dot: it shows while that tab is open; empty: always
   */
  tab?: string;
  tabs: {
    [k: string]: Tab;
  };
}
/**
 * Tasks lists guided tasks that can be begun here, gone on with, or are done.
 */
export interface TasksElement {
  kind: 'tasks';
  pos: number;
  cell: Cell;
  /**
   * Condition; empty: always
   */
  shown?: string;
  /**
   * View, edit, add: where it is; absent: everywhere
   */
  modes?: {
    [k: string]: boolean;
  };
  /**
   * Element id and tab id, joined by a dot: it shows while that tab is open; empty: always
   */
  tab?: string;
  words?: string;
  items: {
    [k: string]: TaskItem;
  };
}
/**
 * TaskItem is one of them.
 */
export interface TaskItem {
  pos: number;
  words: string;
  /**
   * Condition
   */
  done?: string;
  gate: Gate;
}
/**
 * Text is a text on a screen: plain words, or some Markdown (CommonMark): headings, emphasis, lists, links that are ways.
 */
export interface TextElement {
  kind: 'text';
  pos: number;
  cell: Cell;
  /**
   * Condition; empty: always
   */
  shown?: string;
  /**
   * View, edit, add: where it is; absent: everywhere
   */
  modes?: {
    [k: string]: boolean;
  };
  /**
   * Element id and tab id, joined by a dot: it shows while that tab is open; empty: always
   */
  tab?: string;
  /**
   * Template
   */
  words: string;
  /**
   * Plain (default), heading, note
   */
  style?: 'plain' | 'heading' | 'note';
  /**
   * As its style has it, if none is said
   */
  size?: 'small' | 'large' | 'huge';
  weight?: 'light' | 'bold';
  links?: {
    [k: string]: TextLink;
  };
}
/**
 * TextLink is a way that starts at words of a text: [words](id).
 */
export interface TextLink {
  pos: number;
  gate: Gate;
}
/**
 * Total is one number over records: how many there are, or what one of their fields comes to; of the span of time that is now, with that of the one before, where a date is named.
 */
export interface TotalElement {
  kind: 'total';
  pos: number;
  cell: Cell;
  /**
   * Condition; empty: always
   */
  shown?: string;
  /**
   * View, edit, add: where it is; absent: everywhere
   */
  modes?: {
    [k: string]: boolean;
  };
  /**
   * Element id and tab id, joined by a dot: it shows while that tab is open; empty: always
   */
  tab?: string;
  words: string;
  table: string;
  /**
   * Field of the table that names the screen's record
   */
  relation?: string;
  /**
   * Count (default), sum, mean, most, least
   */
  measure?: 'count' | 'sum' | 'mean' | 'most' | 'least';
  /**
   * Of the others than count: the field
   */
  of?: string;
  /**
   * Path of a date or moment: only what is of the span that is now
   */
  when?: string;
  /**
   * Of When
   */
  span?: 'day' | 'week' | 'month' | 'quarter' | 'year';
  gate?: Gate;
}
/**
 * Trend draws live numbers over the last minutes.
 */
export interface TrendElement {
  kind: 'trend';
  pos: number;
  cell: Cell;
  /**
   * Condition; empty: always
   */
  shown?: string;
  /**
   * View, edit, add: where it is; absent: everywhere
   */
  modes?: {
    [k: string]: boolean;
  };
  /**
   * Element id and tab id, joined by a dot: it shows while that tab is open; empty: always
   */
  tab?: string;
  words: string;
  minutes: number;
  lines: {
    [k: string]: Line;
  };
}
/**
 * Line is one line of a trend.
 */
export interface Line {
  pos: number;
  words: string;
  /**
   * Expression: the path of a tag
   */
  value: string;
  unit?: string;
  limit?: number;
  /**
   * Top of its own scale, from 0
   */
  max: number;
}
/**
 * Entered is set off when the screen is entered.
 */
export interface EnteredWay {
  trigger: 'entered';
  pos: number;
  gate?: Gate;
}
/**
 * Equipment is the tags that belong to each record of a table: the drive of a lift.
 */
export interface Equipment {
  kind: 'equipment';
  table: string;
  source: string;
  parts: {
    [k: string]: Part;
  };
}
/**
 * Part is a named group of tags of an equipment.
 */
export interface Part {
  pos: number;
  alias: string;
  label: string;
  tags: {
    [k: string]: Tag;
  };
}
/**
 * Tag is one named live value.
 */
export interface Tag {
  pos: number;
  alias: string;
  label: string;
  /**
   * Yesno, whole, number, text
   */
  type: string;
  unit?: string;
  /**
   * What may be written
   */
  min?: number;
  max?: number;
  writable?: boolean;
  node: string;
  watchdog?: Watchdog;
  alarm?: Limits;
}
/**
 * Watchdog is how the plant notices that a button is not held any more although nobody let it go.
 */
export interface Watchdog {
  /**
   * Seconds after which it is false again by itself
   */
  within: number;
  /**
   * Node that is counted up as long as the button is held; none: the plant looks at the value being written
   */
  beat?: string;
}
/**
 * Limits are a range that is open where an end is not said.
 */
export interface Limits {
  low?: number;
  high?: number;
}
/**
 * Expectation is what is to hold of who gets to a screen: “a visitor never reaches it”, “a technician reaches it within 3 presses”, “whoever gets here comes back within 2”, “only from the day board”.
 */
export interface Expectation {
  kind: 'expectation';
  pos: number;
  screen: string;
  /**
   * Who has all of these; absent: whoever
   */
  roles?: {
    [k: string]: boolean;
  };
  what: 'never' | 'noButton' | 'within' | 'back' | 'from';
  /**
   * Of within and back: at the most
   */
  presses?: number;
  /**
   * Of from: the screens that may lead to it
   */
  from?: {
    [k: string]: boolean;
  };
}
/**
 * SharedGate is a gate that several elements use, with inputs of its own: it sees only those and the user.
 */
export interface SharedGate {
  kind: 'gate';
  pos: number;
  name: string;
  area?: string;
  inputs?: {
    [k: string]: Input;
  };
  gate: Gate;
}
/**
 * Input is one thing a screen needs to know.
 */
export interface Input {
  pos: number;
  alias: string;
  label: string;
  type: string;
  /**
   * Of a record
   */
  table?: string;
  required?: boolean;
  /**
   * Path that this narrows lists and charts by; several, between spaces: the first that their table has; of one table alone: t_pumps:f_state
   */
  filter?: string;
  /**
   * Of Filter: is (default), atLeast, atMost, below
   */
  compare?: string;
  /**
   * Of Filter: elements of the screen that it does not narrow
   */
  except?: {
    [k: string]: boolean;
  };
  /**
   * Of Filter: several values can be chosen, of which one is enough
   */
  several?: boolean;
}
/**
 * Grant is what a role may do with a table, and with which of its records.
 */
export interface Grant {
  kind: 'grant';
  role: string;
  table: string;
  view?: boolean;
  add?: boolean;
  edit?: boolean;
  delete?: boolean;
  /**
   * Row rule: the condition that records meet which the grant speaks of; empty: all
   */
  rows?: string;
  /**
   * A further one for add, edit and delete, before the change and after
   */
  changes?: string;
  /**
   * Fields
   */
  hidden?: {
    [k: string]: boolean;
  };
  /**
   * Fields
   */
  readOnly?: {
    [k: string]: boolean;
  };
}
/**
 * Picture is one that buttons and screens show.
 */
export interface Picture {
  kind: 'picture';
  name: string;
  /**
   * What it shows, for who cannot see it
   */
  words?: string;
  /**
   * SHA-256 of its bytes, in hexadecimal
   */
  digest: string;
}
/**
 * Settings is what belongs to the project as a whole.
 */
export interface Settings {
  kind: 'project';
  title: string;
  slug: string;
  /**
   * IANA name; today() is told in it
   */
  zone: string;
  /**
   * The table that users have a record in
   */
  userTable?: string;
  /**
   * Its field that holds the sign-in name
   */
  userField?: string;
  /**
   * Refused: a newer program wrote this
   */
  nextFormat?: number;
  /**
   * How numbers and dates are written for users (BCP 47); English when absent
   */
  language?: string;
  /**
   * Appearance says how screens of a kind look, light or dark, whatever users have chosen for themselves.
   */
  appearance?: {
    [k: string]: string;
  };
  /**
   * By name; those that are absent are the usual ones
   */
  palette?: {
    [k: string]: Colour;
  };
  style?: Style;
}
/**
 * Style is what an application looks like besides the usual colours of its palette.
 */
export interface Style {
  /**
   * Of the builder's own, by an id that begins with co_
   */
  colours?: {
    [k: string]: OwnColour;
  };
  /**
   * Of all buttons that look one way, by its name
   */
  buttons?: {
    [k: string]: ButtonStyle;
  };
  /**
   * A little round, if none is said
   */
  corners?: 'square' | 'round';
  /**
   * How large all that is written is
   */
  text?: 'small' | 'large';
  /**
   * Picture of the project, in the strip at the top
   */
  logo?: string;
}
/**
 * OwnColour is a colour that the builder has named: wherever it is used it is changed at once.
 */
export interface OwnColour {
  pos: number;
  name: string;
  light?: string;
  dark?: string;
}
/**
 * Rail is a strip shared by many screens, with any elements on it; a rule says on which.
 */
export interface Rail {
  kind: 'rail';
  pos: number;
  name: string;
  /**
   * Left, right, top, bottom
   */
  edge: 'left' | 'right' | 'top' | 'bottom';
  placed: Placement;
  elements?: {
    [k: string]: Element;
  };
  /**
   * Elements that never fold into “More”
   */
  never?: {
    [k: string]: boolean;
  };
  drawer?: RailDrawer;
}
/**
 * Placement says on which screens a rail stands: every part that is given must hold.
 */
export interface Placement {
  /**
   * Of screens
   */
  kinds?: {
    [k: string]: boolean;
  };
  /**
   * Of the screen's record, each with a condition on it, or ""
   */
  tables?: {
    [k: string]: string;
  };
  roles?: {
    [k: string]: boolean;
  };
  /**
   * Screens
   */
  only?: {
    [k: string]: boolean;
  };
  /**
   * Screens
   */
  except?: {
    [k: string]: boolean;
  };
}
/**
 * RailDrawer says how a rail that is a drawer opens, besides by gates, and how far.
 */
export interface RailDrawer {
  /**
   * Pixels across the edge; 0: as much as it needs
   */
  size?: number;
  /**
   * A touch at the edge of the screen opens it
   */
  touch?: boolean;
  /**
   * A tab stands at the edge: pressed or pulled, it opens it
   */
  pull?: boolean;
}
/**
 * Role is a role that users have; the first by position that a user has decides the start screen.
 */
export interface Role {
  kind: 'role';
  pos: number;
  name: string;
  /**
   * Screen
   */
  start: string;
  /**
   * Idle is after how many seconds without a touch the tab goes back to the start and forgets what was typed; 0 for never. Warn is for how many of them before it says so and counts down.
   */
  idle?: number;
  warn?: number;
  /**
   * Round is the screens that follow each other while nobody touches any.
   */
  round?: {
    [k: string]: Stop;
  };
}
/**
 * Stop is one screen of a round: screens that follow each other by themselves while nobody touches any.
 */
export interface Stop {
  pos: number;
  screen: string;
  /**
   * Seconds without a touch after which the next follows
   */
  stay: number;
}
/**
 * Screen is what a user sees at one address.
 */
export interface Screen {
  kind: 'screen';
  type: 'menu' | 'list' | 'form' | 'dashboard' | 'operator' | 'notice';
  /**
   * What it is called: Cabin
   */
  title: string;
  /**
   * Template: Cabin {record.number}
   */
  heading?: string;
  area?: string;
  /**
   * Its place in its area; those without one come behind, by title
   */
  pos?: number;
  slug: string;
  oldSlugs?: {
    [k: string]: boolean;
  };
  /**
   * The input that is the screen's own record
   */
  record?: string;
  inputs?: {
    [k: string]: Input;
  };
  /**
   * Who may be here at all; absent: everyone
   */
  roles?: {
    [k: string]: boolean;
  };
  /**
   * Condition for being here at all
   */
  guard?: string;
  /**
   * Screen
   */
  up?: string;
  /**
   * Without the strip that holds back, forward and home
   */
  bare?: boolean;
  /**
   * The heading tells where the record stands in the list come from
   */
  position?: boolean;
  /**
   * Other projects may lead here
   */
  offered?: boolean;
  elements?: {
    [k: string]: Element;
  };
  /**
   * What sets off no element: swipes, entering, time
   */
  ways?: {
    [k: string]: Way;
  };
}
/**
 * Keys is a shortcut of the screen.
 */
export interface KeysWay {
  trigger: 'keys';
  pos: number;
  gate?: Gate;
  /**
   * As in Ctrl+E
   */
  keys: string;
}
/**
 * Left is set off when the screen is left.
 */
export interface LeftWay {
  trigger: 'left';
  pos: number;
  gate?: Gate;
}
/**
 * Swipe is a finger drawn over the screen.
 */
export interface SwipeWay {
  trigger: 'swipe';
  pos: number;
  gate?: Gate;
  /**
   * Where the finger goes: left, right, up, down
   */
  side: 'left' | 'right' | 'up' | 'down';
}
/**
 * Time is set off when the screen has been open for some time, or nobody has touched it for that long.
 */
export interface TimeWay {
  trigger: 'time';
  pos: number;
  gate?: Gate;
  /**
   * Seconds
   */
  after: number;
  /**
   * What it is counted from: arrival (default), the last touch
   */
  since?: 'arrival' | 'touch';
}
/**
 * Source is where tables or tags come from: a connection of the server's configuration, by name.
 */
export interface Source {
  kind: 'source';
  name: string;
  /**
   * Postgresql, plant
   */
  type: 'postgresql' | 'plant';
  /**
   * No secret stands in the document
   */
  connection: string;
  schema?: string;
}
/**
 * Table is a table or view of a source, with the fields that the project uses.
 */
export interface Table {
  kind: 'table';
  source: string;
  /**
   * Its name in the database
   */
  relation: string;
  /**
   * Defects
   */
  label: string;
  /**
   * Defect
   */
  one: string;
  /**
   * It is a view: its records have no version of their own
   */
  view?: boolean;
  /**
   * Fields, in the order of the key; none: records can be listed, not opened
   */
  key: string[];
  /**
   * Template over record: what one record is called
   */
  title: string;
  order?: {
    [k: string]: Order;
  };
  fields: {
    [k: string]: Column;
  };
  tallies?: {
    [k: string]: Tally;
  };
}
/**
 * Tally is a declared figure over the records that refer to one: how many open defects a cabin has.
 */
export interface Tally {
  pos: number;
  alias: string;
  label: string;
  /**
   * Count, exists, min, max
   */
  take: 'count' | 'exists' | 'min' | 'max';
  /**
   * The table counted
   */
  of: string;
  /**
   * Its relation to this table
   */
  by: string;
  /**
   * Of min and max: its field
   */
  path?: string;
  /**
   * Condition on the records counted
   */
  while?: string;
}
/**
 * PlantTag is a live value of the plant as a whole, which belongs to no record: the wind at the top, the power that the works draw.
 */
export interface PlantTag {
  kind: 'tag';
  pos: number;
  alias: string;
  label: string;
  /**
   * Yesno, whole, number, text
   */
  type: string;
  unit?: string;
  /**
   * What may be written
   */
  min?: number;
  max?: number;
  writable?: boolean;
  node: string;
  watchdog?: Watchdog;
  alarm?: Limits;
  source: string;
}
/**
 * Variable is a typed value that a browser tab keeps: for the whole project, or for one screen.
 */
export interface Variable {
  kind: 'variable';
  pos: number;
  alias: string;
  label: string;
  type: string;
  /**
   * Of a record
   */
  table?: string;
  /**
   * Of a text: what it may be
   */
  choices?: string[];
  unit?: string;
  /**
   * The only screen that has it; empty: the whole project
   */
  screen?: string;
  /**
   * What it begins with, as the wire writes it; empty: nothing
   */
  start?: string;
}
/**
 * Walk is how somebody goes through the application, step by step, and what they find there.
 */
export interface Walk {
  kind: 'walk';
  pos: number;
  name: string;
  who: Walker;
  /**
   * The clock stands there all the while, in the project's zone: 2026-11-24T10:00; absent: when it is gone
   */
  at?: string;
  /**
   * What the plant says, by source and node, “so_plant/UT.running”: yes or no, a number, a text; all else is not known
   */
  plant?: {};
  steps?: {
    [k: string]: WalkStep;
  };
}
/**
 * Walker is somebody who walks: whoever has these roles.
 */
export interface Walker {
  name: string;
  roles: {
    [k: string]: boolean;
  };
  record?: Named;
}
/**
 * Named says which record: by its title as its table makes it, by a condition, or by its key.
 */
export interface Named {
  title?: string;
  /**
   * Condition on the record: the first, in the table’s order, of which it holds
   */
  where?: string;
  key?: string;
}
/**
 * WalkStep is one thing that is done, or looked at.
 */
export interface WalkStep {
  pos: number;
  does: 'open' | 'press' | 'type' | 'choose' | 'look' | 'go' | 'wait' | 'plant' | 'build' | 'claim';
  /**
   * Open: an address; claim of “at”: where one is to stand; of all others: where it is done, or absent.
   */
  screen?: string;
  mode?: 'view' | 'edit' | 'add';
  /**
   * Records by title; of an input that is none, the value as an address has it, as key
   */
  inputs?: {
    [k: string]: Named;
  };
  /**
   * Press, choose, and claim of an element.
   */
  element?: string;
  /**
   * Of an element with several ways; absent: its usual one
   */
  trigger?: string;
  row?: Named;
  /**
   * Of what is done with several rows
   */
  rows?: {
    [k: string]: Named;
  };
  /**
   * Value of the chosen point
   */
  point?: string;
  option?: string;
  /**
   * What is asked before is answered with yes
   */
  yes?: boolean;
  /**
   * What becomes of what was typed
   */
  unsaved?: 'save' | 'drop';
  /**
   * Records that are asked for, by input
   */
  picked?: {
    [k: string]: Named;
  };
  /**
   * Type: by field, as forms send them; press: of a row that is edited where it stands
   */
  values?: {
    [k: string]: string;
  };
  /**
   * Look: for what, in the list
   */
  find?: string;
  /**
   * Look: what the list is narrowed to
   */
  filters?: {
    [k: string]: ArriveFilter;
  };
  /**
   * Look: in which order it is
   */
  sort?: {
    [k: string]: Order;
  };
  /**
   * Wait: how long
   */
  seconds?: number;
  /**
   * Look: which tab is open, by block of tabs
   */
  tabs?: {
    [k: string]: string;
  };
  to?: 'back' | 'forward' | 'home' | 'up' | 'close';
  /**
   * Plant: what it says from here on
   */
  plant?: {};
  /**
   * Build: what a builder changes, as a JSON Patch (RFC 6902) in order
   */
  changes?: {
    [k: string]: WalkChange;
  };
  /**
   * Claim; refused: of an address that is opened
   */
  is?: 'at' | 'open' | 'greyed' | 'hidden' | 'rows' | 'reads' | 'left' | 'refused' | 'finds';
  /**
   * Of rows: how many
   */
  count?: number;
  /**
   * Of at: the heading; of greyed: the reason; of reads: what it shows; of left: part of the address; of refused: the reason; of finds: part of what a check says
   */
  words?: string;
}
/**
 * WalkChange is one operation on the document that a builder makes on a walk.
 */
export interface WalkChange {
  pos: number;
  op: 'add' | 'remove' | 'replace' | 'test';
  /**
   * JSON Pointer, from the entities down
   */
  path: string;
  value?: unknown;
}
