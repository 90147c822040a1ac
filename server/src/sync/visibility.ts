import {
  guestRow,
  isGranted,
  type Finding,
  above,
  relationToList,
  relationsToItem,
  isHere,
  isOwnPart,
  PRIVATE_ALARM_FIELDS,
  PRIVATE_PART_FIELDS,
  seesPlace,
  type Comment,
  type AccessRelation,
  type Item,
  type Noun,
  type Part,
  type Person,
  type Reader,
  type Row,
  type Activity,
} from '@kotiva/core';

const OWN_BUT_PLAN = PRIVATE_PART_FIELDS.filter((field) => field !== 'plan');

/**
 * Who sees what: for changes, the live stream and everything else that leaves the server.
 * One `Sight` answers for one person at one moment; it remembers what it worked out.
 */
export class Visibility {
  private readonly lists = new Map<string, boolean>();
  private readonly items = new Map<string, readonly AccessRelation[]>();
  private readonly tags = new Map<string, boolean>();
  private readonly rows: Finding;

  constructor(
    private readonly reader: Reader,
    readonly person: Person,
  ) {
    this.rows = reader;
  }

  sees(noun: Noun, row: Row): boolean {
    if (!isHere(this.person)) return false;
    switch (noun) {
      case 'house':
      case 'person':
      case 'situation':
      case 'timeAway':
        return true;
      case 'place':
        return seesPlace(row as Row<'place'>, this.person.id);
      case 'tag':
        return (row as Row<'tag'>).makerId === this.person.id || this.seesTag(row.id);
      case 'invitation':
        return this.person.role === 'manager';
      case 'bundle':
        return (row as Row<'bundle'>).ownerId === this.person.id || this.rows.by('list', 'bundleId', row.id).some((list) => this.seesList(list.id));
      case 'list':
        return this.seesList(row.id);
      case 'section':
      case 'share':
      case 'listWatch':
        return this.seesList((row as Row<'section'>).listId);
      case 'series':
        return this.seesSeries(row as Row<'series'>);
      case 'override': {
        const series = this.rows.find('series', (row as Row<'override'>).seriesId);
        return series !== undefined && this.seesSeries(series);
      }
      case 'item':
        return this.relations(row.id, row as Item).length > 0;
      case 'part':
      case 'watch':
      case 'wait':
      case 'guest':
      case 'fieldValue':
        return this.seesItem((row as Part).itemId);
      case 'attachment':
        return this.seesAttachment(row as Row<'attachment'>);
      case 'alarm': {
        const { personId, makerId, itemId, trigger } = row as Row<'alarm'>;
        const people = [personId, makerId, ...(trigger.kind === 'place' ? trigger.among : [])];
        return people.includes(this.person.id) && this.seesItem(itemId);
      }
      case 'comment':
        return this.seesComment(row as Comment);
      case 'capacity':
        return this.person.role === 'manager' || (row as Row<'capacity'>).personId === this.person.id;
      case 'arrangement':
      case 'pin':
      case 'preferences':
      case 'stretch':
      case 'visit':
      case 'slot':
      case 'noticeChoices':
      case 'notice':
        return (row as Row<'notice' | 'arrangement'>).personId === this.person.id;
      case 'peopleGroup':
        return this.person.role !== 'outside';
      case 'ownField':
        return this.seesField(row as Row<'ownField'>);
      case 'project':
        return this.seesProject(row as Row<'project'>);
      case 'membership':
        return this.seesMembership(row as Row<'membership'>);
      case 'template':
        return (row as Row<'template'>).isShared || (row as Row<'template'>).ownerId === this.person.id;
      case 'templateItem':
        return this.seesTemplate((row as Row<'templateItem'>).templateId);
      case 'savedView':
        return (row as Row<'savedView'>).isShared || (row as Row<'savedView'>).ownerId === this.person.id;
      case 'matter': {
        const { makerId, personId, shared } = row as Row<'matter'>;
        return makerId === this.person.id || (shared && personId === this.person.id);
      }
      case 'talk':
        return (row as Row<'talk'>).makerId === this.person.id || (row as Row<'talk'>).personId === this.person.id;
      case 'errandRound': {
        const { makerId, personId } = row as Row<'errandRound'>;
        return [makerId, personId].includes(this.person.id);
      }
      case 'meetingNote': {
        const { makerId, personIds, shared } = row as Row<'meetingNote'>;
        return makerId === this.person.id || (shared && personIds.includes(this.person.id));
      }
      case 'activity':
        return this.seesActivity(row as Activity);
    }
  }

  /** The row as this person may read it: what is private to another is emptied. */
  shown<N extends Noun>(noun: N, row: Row<N>): Row<N> {
    if (noun === 'person' && this.person.role === 'helper' && row.id !== this.person.id) return withoutContact(row as Person) as Row<N>;
    if (noun === 'part' && (row as Part).personId !== this.person.id) return emptied(row, this.seesPlan(row as Part) ? OWN_BUT_PLAN : PRIVATE_PART_FIELDS);
    if (noun === 'comment' && isTakenBack(row as Comment, this.person)) return wordless(row) as Row<N>;
    if (noun === 'alarm' && this.tellsOfOthers(row as Row<'alarm'>)) return emptied(row, PRIVATE_ALARM_FIELDS);
    return row;
  }

  /** A day that came with a handover: its giver's, and of a shared list everyone's who may change things there. */
  private seesPlan({ itemId, planGiverId, giverId, originId }: Part): boolean {
    if (planGiverId === null) return false;
    if ([planGiverId, giverId, originId].includes(this.person.id)) return true;
    return this.relations(itemId).some((relation) => isGranted(relation, 'change'));
  }

  private tellsOfOthers({ trigger, personId }: Row<'alarm'>): boolean {
    return trigger.kind === 'place' && (trigger.who !== 'own' || personId !== this.person.id);
  }

  private seesList(listId: string): boolean {
    const known = this.lists.get(listId);
    if (known !== undefined) return known;
    const seen = relationToList(listId, this.person, this.rows) !== null;
    this.lists.set(listId, seen);
    return seen;
  }

  /** Who shares in a chore sees when it comes and whose turn it is, also without the list it lies in. */
  private seesSeries({ listId, makerId, personIds }: Row<'series'>): boolean {
    return personIds.includes(this.person.id) || (listId === null ? makerId === this.person.id : this.seesList(listId));
  }

  /** Carried by something they see: most often by the first that carries it. */
  private seesTag(tagId: string): boolean {
    const known = this.tags.get(tagId);
    if (known !== undefined) return known;
    const seen = this.reader.by('item', 'tag', tagId).some((item) => this.relations(item.id, item).length > 0);
    this.tags.set(tagId, seen);
    return seen;
  }

  /** The house’s everybody of it; a list’s who sees the list, and who sees anything that says something in it. */
  private seesField({ id, listId }: Row<'ownField'>): boolean {
    if (listId === null ? this.person.role !== 'outside' : this.seesList(listId)) return true;
    return this.reader.by('fieldValue', 'fieldId', id).some(({ itemId, value }) => value !== null && this.seesItem(itemId));
  }

  /** Whoever answers for it or made it, managers, and who sees anything that belongs to it. */
  private seesProject({ id, makerId, answerableId }: Row<'project'>): boolean {
    if (this.person.role === 'outside') return false;
    if (this.person.role === 'manager' || [makerId, answerableId].includes(this.person.id)) return true;
    return this.reader.by('membership', 'projectId', id).some((one) => one.endedAt === null && this.seesMember(one));
  }

  /** That something belongs to a project is known to who sees both: what one may not see is in no number either. */
  private seesMembership(membership: Row<'membership'>): boolean {
    const project = this.rows.find('project', membership.projectId);
    return project !== undefined && this.seesMember(membership) && this.seesProject(project);
  }

  private seesMember({ listId, itemId, noteId }: Row<'membership'>): boolean {
    if (listId !== null) return this.seesList(listId);
    if (itemId !== null) return this.seesItem(itemId);
    const note = noteId === null ? undefined : this.rows.find('meetingNote', noteId);
    return note !== undefined && this.sees('meetingNote', note);
  }

  private seesTemplate(id: string): boolean {
    const template = this.rows.find('template', id);
    return template !== undefined && this.sees('template', template);
  }

  /** What was kept with a template's item lies with it as it would with an item. */
  /** As one sees what it is with; what came with a remark, as one reads that. */
  private seesAttachment({ itemId, commentId }: Row<'attachment'>): boolean {
    const comment = commentId ? this.rows.find('comment', commentId) : undefined;
    if (commentId) return comment !== undefined && this.seesComment(comment);
    if (this.rows.find('item', itemId)) return this.seesItem(itemId);
    const note = this.rows.find('meetingNote', itemId);
    if (note) return this.sees('meetingNote', note);
    const project = this.rows.find('project', itemId);
    return project ? this.seesProject(project) : this.seesTemplateItem(itemId);
  }

  private seesTemplateItem(id: string): boolean {
    const item = this.rows.find('templateItem', id);
    return item !== undefined && this.seesTemplate(item.templateId);
  }

  seesItem(itemId: string): boolean {
    return this.relations(itemId).length > 0;
  }

  private relations(itemId: string, row?: Item): readonly AccessRelation[] {
    const known = this.items.get(itemId);
    if (known) return known;
    const item = row ?? this.rows.find('item', itemId);
    const relations = item && item.purgedAt === null ? relationsToItem(item, this.person, this.rows) : [];
    this.items.set(itemId, relations);
    return relations;
  }

  private seesComment(comment: Comment): boolean {
    if (!this.seesItem(comment.itemId)) return false;
    if (comment.audience === 'all' || comment.authorId === this.person.id) return true;
    const part = comment.partId ? this.rows.find('part', comment.partId) : undefined;
    return part !== undefined && [part.personId, part.giverId, part.originId].includes(this.person.id);
  }

  /** A handover, or being let in, shows what happens from then on, never what was before. */
  private seesActivity(activity: Activity): boolean {
    if (activity.itemId) {
      const relations = this.relations(activity.itemId);
      if (relations.some((relation) => relation !== 'own-part' && relation !== 'guest')) return true;
      if (relations.length === 0) return false;
      const since = this.partOfItSince(activity.itemId);
      return since !== null && activity.arrivedAt >= since;
    }
    if (activity.listId) return this.seesList(activity.listId);
    // whoever was looked at reads that they were
    return this.person.role === 'manager' || (activity.kind === 'person.lookAs' && activity.params['person'] === this.person.id);
  }

  private partOfItSince(itemId: string): string | null {
    const item = this.rows.find('item', itemId);
    if (!item) return null;
    for (const { id } of [item, ...above(item, this.rows)]) {
      const own = this.rows.by('part', 'itemId', id).find((part) => isOwnPart(part, this.person));
      if (own) return own.givenAt;
    }
    return guestRow(item, this.person, this.rows)?.since ?? null;
  }
}

/** How somebody is reached is not a helper's to read: a name and a mark, as they are worked with. */
const CONTACT = ['email', 'phone'] as const;

/** What was taken back its author alone still reads. */
const WORDS = ['text'] as const;
const wordless = (row: Row): Row => once(row, WORDS, () => ({ ...row, text: '' }));
const isTakenBack = ({ removedAt, authorId }: Comment, person: Person): boolean => removedAt !== null && authorId !== person.id;

const withoutContact = (person: Person): Person => once(person, CONTACT, () => ({ ...withoutFields<'person'>(person, CONTACT), contact: '' }) as Row) as Person;

/** Without these fields, and without who wrote them when. */
const emptied = <N extends Noun>(row: Row<N>, fields: readonly string[]): Row<N> => once(row, fields, () => withoutFields(row, fields)) as Row<N>;

/** A row is never written over: what is left of it for those who may not read all of it is the same for each of them. */
const left = new WeakMap<Row, Map<readonly string[], Row>>();

function once(row: Row, fields: readonly string[], make: () => Row): Row {
  const known = left.get(row) ?? new Map<readonly string[], Row>();
  left.set(row, known);
  const made = known.get(fields) ?? make();
  known.set(fields, made);
  return made;
}

function withoutFields<N extends Noun>(row: Row<N>, fields: readonly string[]): Row<N> {
  const copy: Record<string, unknown> = { ...row, stamps: { ...row.stamps } };
  for (const field of fields) {
    copy[field] = null;
    delete (copy['stamps'] as Record<string, unknown>)[field];
  }
  return copy as unknown as Row<N>;
}

/** Everything a person sees of their house, as they may read it. */
export function* visible(reader: Reader, person: Person, nouns: readonly Noun[]): Generator<readonly [Noun, Row]> {
  const sight = new Visibility(reader, person);
  for (const noun of nouns) for (const row of reader.all(noun)) if (sight.sees(noun, row)) yield [noun, sight.shown(noun, row)];
}
