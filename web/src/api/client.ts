import createClient from 'openapi-fetch';
import type { components, paths } from './schema.gen';

type Schemas = components['schemas'];
export type View = Schemas['View'];
export type ElementView = Schemas['ElementView'];
export type ButtonView = Schemas['ButtonView'];
export type FieldView = Schemas['FieldView'];
export type ListView = Schemas['ListView'];
export type RowView = Schemas['RowView'];
export type DeviceInfo = Schemas['DeviceInfo'];
export type DeviceChange = Schemas['DeviceChange'];
export type DeviceApplication = Schemas['DeviceApplication'];
export type CallUp = Schemas['CallUp'];
export type CommandLogged = Schemas['CommandLogged'];
export type CallUpListed = Schemas['CallUpListed'];
export type PartView = Schemas['PartView'];
export type PointView = Schemas['PointView'];
export type WayView = Schemas['WayView'];
export type EntryView = Schemas['EntryView'];
export type ImageView = Schemas['ImageView'];
export type RailView = Schemas['RailView'];
export type PictureView = Schemas['PictureView'];
export type ChartView = Schemas['ChartView'];
export type GaugeView = Schemas['GaugeView'];
export type LampView = Schemas['LampView'];
export type StyleView = Schemas['StyleView'];
export type SymbolView = Schemas['SymbolView'];
export type TrendView = Schemas['TrendView'];
export type SitePlanView = Schemas['SitePlanView'];
export type SitePoint = Schemas['SitePoint'];
export type RowFaceView = Schemas['RowFaceView'];
export type FigureView = Schemas['FigureView'];
export type Place = Schemas['Place'];
export type Filter = Schemas['Filter'];
export type Sort = Schemas['Sort'];
export type ContextChip = Schemas['Chip'];
export type Shown = Schemas['Shown'];
export type Question = Schemas['Question'];
export type PressRequest = Schemas['PressRequest'];
export type PressResult = Schemas['PressResult'];
export type Problem = Schemas['Problem'];
export type Part = Schemas['Part'];
export type Me = Schemas['Me'];
export type Draft = Schemas['Draft'];
export type AtWork = Schemas['AtWork'];
export type WayOut = Schemas['WayOut'];
export type WayIn = Schemas['WayIn'];
export type Chunk = Schemas['Chunk'];
export type Finding = Schemas['Finding'];
export type ReachTable = Schemas['ReachTable'];
export type ReachLine = Schemas['ReachLine'];
export type ReachCell = Schemas['ReachCell'];
export type ReachPath = Schemas['ReachPath'];
export type ReachStep = Schemas['ReachStep'];
export type ScreenMap = Schemas['ScreenMap'];
export type MapPlate = Schemas['MapPlate'];
export type MapWire = Schemas['MapWire'];
export type WireWay = Schemas['WireWay'];
export type Who = Schemas['Who'];
export type Expected = Schemas['Expected'];
export type Mend = Schemas['Mend'];
export type Op = Schemas['Op'];
export type LogEntry = Schemas['LogEntry'];
export type Title = Schemas['Title'];
export type Proposal = Schemas['Proposal'];
export type NameInfo = Schemas['NameInfo'];
export type Rows = Schemas['Rows'];
export type ConditionRow = Schemas['ConditionRow'];
export type ConditionRead = Schemas['ConditionRead'];
export type Completion = Schemas['Completion'];
export type Offer = Schemas['Offer'];
export type Signature = Schemas['Signature'];
export type Explanation = Schemas['Explanation'];
export type Judged = Schemas['Judged'];
export type RightsTable = Schemas['RightsTable'];
export type TableOrder = Schemas['TableOrder'];
export type TableRow = Schemas['TableRow'];
export type TableCell = Schemas['TableCell'];
export type GrantWords = Schemas['GrantWords'];
export type ScreenRow = Schemas['ScreenRow'];
export type May = Schemas['May'];
export type SharedCondition = Schemas['SharedCondition'];
export type MyRights = Schemas['MyRights'];
export type Practised = Schemas['Practised'];
export type Samples = Schemas['Trend'];
export type ColumnView = Schemas['ColumnView'];
export type SeveralView = Schemas['SeveralView'];
export type Look = Schemas['Look'];
export type TabsView = Schemas['TabsView'];
export type Position = Schemas['Position'];
export type KeptDraft = Schemas['KeptDraft'];
export type ReleaseTold = Schemas['ReleaseTold'];
export type NewRelease = Schemas['NewRelease'];
export type Readiness = Schemas['Readiness'];
export type ReleaseStop = Schemas['ReleaseStop'];
export type ChangeTold = Schemas['ChangeTold'];
export type Differences = Schemas['Differences'];
export type EditTold = Schemas['EditTold'];
export type ScreenThen = Schemas['ScreenThen'];
export type WalkTold = Schemas['WalkTold'];
export type WalkResult = Schemas['WalkResult'];
export type WalkDifference = Schemas['WalkDifference'];
export type OverlayView = Schemas['OverlayView'];
export type OfferedScreen = Schemas['OfferedScreen'];
export type SharedUse = Schemas['SharedUse'];
export type Given = Schemas['Given'];
export type ThenPress = Schemas['ThenPress'];
export type Act = Schemas['Act'];
export type RecentPlace = Schemas['RecentPlace'];
export type ListChoice = Schemas['ListChoice'];
export type ConnectionInfo = Schemas['ConnectionInfo'];
export type ConnectionKept = Schemas['ConnectionKept'];
export type CellWish = Schemas['CellWish'];
export type EquipmentFit = Schemas['EquipmentFit'];
export type EquipmentValue = Schemas['EquipmentValue'];
export type TagNow = Schemas['TagNow'];
export type PlantNodes = Schemas['PlantNodes'];
export type PlantNode = Schemas['PlantNode'];
export type FileLook = Schemas['FileLook'];
export type SourceRead = Schemas['SourceRead'];
export type Difference = Schemas['Difference'];
export type Tried = Schemas['Tried'];
export type PersonInfo = Schemas['PersonInfo'];
export type ApplicationRoles = Schemas['ApplicationRoles'];
export type ApplicationState = Schemas['ApplicationState'];
export type NewPerson = Schemas['NewPerson'];
export type Wish = Schemas['Wish'];
export type TableWish = Schemas['TableWish'];
export type TableInfo = Schemas['TableInfo'];
export type ProposedApplication = Schemas['ProposedApplication'];
export type ProposedTable = Schemas['ProposedTable'];
export type ProposedField = Schemas['ProposedField'];
export type ProposedWay = Schemas['ProposedWay'];

/** The API, typed by its document. */
export const api = createClient<paths>({ baseUrl: '/' });

/** A no from the server, or no answer at all. */
export class Refused extends Error {
  constructor(
    readonly problem: Problem,
    readonly status: number,
  ) {
    super(problem.what);
  }
  /** Nobody answers: the server or its database is away. What was asked can be asked again. */
  get away() {
    return this.status === 0 || this.status === 503 || this.status === 502;
  }
}

export const noAnswer: Problem = {
  code: 'no-answer',
  what: 'The server does not answer.',
  // biome-ignore lint/suspicious/noThenProperty: the field of the documented error form
  then: 'Nothing is lost. This goes on by itself when it is back.',
};

interface Answer<T> {
  data?: T;
  error?: Problem;
  response: Response;
}

/** Waits for an answer and gives its data; a no is thrown as Refused. */
export async function ask<T>(call: Promise<Answer<T>>): Promise<T> {
  let answer: Answer<T>;
  try {
    answer = await call;
  } catch {
    throw new Refused(noAnswer, 0);
  }
  if (answer.error !== undefined || !answer.response.ok) {
    throw new Refused(answer.error ?? noAnswer, answer.response.status);
  }
  // A call without content has no data, and its type says so.
  return answer.data as T;
}
