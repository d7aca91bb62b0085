import { randomUUID } from 'node:crypto';
import { QueryTypes, UniqueConstraintError, type Transaction } from 'sequelize';
import type { NewPerson, Right } from '$lib/core/people';
import { db, inTransaction } from '../db/connection';
import { hold } from '../db/lock';
import { NotFoundError, RefusedError } from '../errors';
import { note, type Actor } from '../people/audit';
import { makeCode, useCode } from '../people/codes';
import { opens, passphraseHash } from '../people/passphrase';
import { endSessionsOf, makeSession } from '../people/sessions';
import { forgetFailures, noteFailure, refuseHasty, triers } from '../people/tries';

/** A person of the workshop, without anything that lets in. */
export interface PersonShown {
	id: string;
	name: string;
	mark: string;
	right: Right;
	/** They have a passphrase of their own. */
	hasPassphrase: boolean;
}

interface Row extends PersonShown {
	passphraseHash: string | null;
}

const COLUMNS = 'id, name, mark, rights AS `right`, passphraseHash';
const select = (where: string, replacements: unknown[], transaction?: Transaction) =>
	db().query<Row>(`SELECT ${COLUMNS} FROM people WHERE leftAt IS NULL AND ${where} ORDER BY name`, {
		replacements,
		type: QueryTypes.SELECT,
		...(transaction ? { transaction } : {})
	});

/** Everybody who has not left, by name. */
export async function listPeople(): Promise<PersonShown[]> {
	const rows = await select('1 = ?', [1]);
	return rows.map(({ passphraseHash: hashed, ...p }) => ({ ...p, hasPassphrase: hashed !== null }));
}

/** Whether there is a keeper who can sign in; until then the code that the server printed makes one. */
export async function isAnybody(): Promise<boolean> {
	return (await select(KEEPER_WHO_CAN, [])).length > 0;
}

const PEOPLE = 'people';
const KEEPER_WHO_CAN = "rights = 'keeper' AND passphraseHash IS NOT NULL";

/** Everything that changes people waits its turn: of two that remove the last two keepers one is refused. */
async function alone<T>(work: (transaction: Transaction) => Promise<T>): Promise<T> {
	try {
		return await inTransaction(async (transaction) => {
			await hold([PEOPLE], transaction);
			return work(transaction);
		});
	} catch (failure) {
		if (failure instanceof UniqueConstraintError)
			throw Object.keys(failure.fields as object).some((k) => k.includes('mark'))
				? new RefusedError('Somebody has this mark already: take another.', 'mark')
				: new RefusedError('Somebody has this name already: take another.', 'name');
		throw failure;
	}
}

async function insert(person: NewPerson, hashed: string | null, transaction: Transaction): Promise<string> {
	const id = randomUUID();
	const now = new Date();
	await db().query(
		'INSERT INTO people (id, name, mark, rights, passphraseHash, createdAt, updatedAt) VALUES (?, ?, ?, ?, ?, ?, ?)',
		{
			replacements: [id, person.name, person.mark, person.right, hashed, now, now],
			type: QueryTypes.INSERT,
			transaction
		}
	);
	return id;
}

/**
 * Makes the first person, a keeper, by the code that the server printed when it first listened to a network.
 * @throws RefusedError where there is somebody already, or the code is none
 */
export async function makeFirst(
	code: string,
	person: Omit<NewPerson, 'right'>,
	passphrase: string,
	from: { device: string; address: string }
): Promise<Awaited<ReturnType<typeof makeSession>>> {
	const tries = triers('first person', from.address);
	await refuseHasty(tries);
	const hashed = await passphraseHash(passphrase, [person.name, person.mark]);
	let isWrong = false;
	const id = await alone(async (transaction) => {
		if ((await select(KEEPER_WHO_CAN, [], transaction)).length > 0)
			throw new RefusedError('There is a first person already: sign in.');
		if (!(await useCode('first', code, transaction))) {
			isWrong = true;
			return '';
		}
		const made = await insert({ ...person, right: 'keeper' }, hashed, transaction);
		await note({ id: made, name: person.name }, 'first-person', person.name, transaction);
		return made;
	});
	if (isWrong) {
		await noteFailure(tries);
		throw new RefusedError(
			'This is not the code, or it is over a day old: the window in which the server runs shows it, and a restart shows a new one.',
			'code'
		);
	}
	await forgetFailures(tries);
	return makeSession(id, from.device, from.address);
}

/** Lets somebody in by name or mark and passphrase. @throws RefusedError; the sentence does not say which was wrong */
export async function signIn(
	who: string,
	passphrase: string,
	from: { device: string; address: string }
): Promise<Awaited<ReturnType<typeof makeSession>>> {
	const tries = triers(who, from.address);
	await refuseHasty(tries);
	const [row] = await select('(name = ? OR mark = ?)', [who.trim(), who.trim().toUpperCase()]);
	if (!(await opens(row?.passphraseHash ?? null, passphrase)) || !row) {
		await noteFailure(tries);
		await note(null, 'sign-in-failed', `${who.slice(0, 60)}, from ${from.address}`);
		throw new RefusedError('Nobody is known by that name and passphrase.', 'passphrase');
	}
	await forgetFailures(tries);
	await note(row, 'signed-in', `${from.device}, ${from.address}`);
	return makeSession(row.id, from.device, from.address);
}

/** A new person; the code lets them choose their own passphrase. */
export async function addPerson(person: NewPerson, by: Actor): Promise<{ id: string; code: string }> {
	const id = await alone(async (transaction) => {
		const made = await insert(person, null, transaction);
		await note(by, 'person-added', `${person.name}, ${person.right}`, transaction);
		return made;
	});
	return { id, code: await makeCode('reset', id) };
}

async function known(id: string, transaction?: Transaction): Promise<Row> {
	const [row] = await select('id = ?', [id], transaction);
	if (!row) throw new NotFoundError('person');
	return row;
}

async function refuseLastKeeper(id: string, transaction: Transaction): Promise<void> {
	const keepers = await select(`${KEEPER_WHO_CAN} AND id <> ?`, [id], transaction);
	if (keepers.length === 0)
		throw new RefusedError(
			'This is the last keeper: make another one first, else nobody can manage the workshop.'
		);
}

/** Makes somebody a keeper or a maker. */
export const setRight = (id: string, right: Right, by: Actor): Promise<void> =>
	alone(async (transaction) => {
		const row = await known(id, transaction);
		if (right === 'maker') await refuseLastKeeper(id, transaction);
		await db().query('UPDATE people SET rights = ?, updatedAt = ? WHERE id = ?', {
			replacements: [right, new Date(), id],
			type: QueryTypes.UPDATE,
			transaction
		});
		await note(by, 'person-changed', `${row.name}, ${right}`, transaction);
	});

/** Somebody leaves: their sessions end, and what they noted keeps their name. */
export async function letGo(id: string, by: Actor): Promise<void> {
	await alone(async (transaction) => {
		const row = await known(id, transaction);
		if (row.right === 'keeper') await refuseLastKeeper(id, transaction);
		// the name and the mark are free for somebody else from then on
		await db().query(
			'UPDATE people SET leftAt = ?, passphraseHash = NULL, name = CONCAT(LEFT(name, 50), ?), mark = ? WHERE id = ?',
			{
				replacements: [new Date(), ` †${id.slice(0, 6)}`, id.slice(0, 8), id],
				type: QueryTypes.UPDATE,
				transaction
			}
		);
		await note(by, 'person-left', row.name, transaction);
	});
	await endSessionsOf(id);
}

/** A code for somebody who lost their passphrase, or never had one. The old one holds until it is used. */
export async function resetCode(id: string, by: Actor): Promise<string> {
	const { name } = await known(id);
	await note(by, 'passphrase-reset', name);
	return makeCode('reset', id);
}

/** A new passphrase by a code; every session of the person ends, and this one begins. */
export async function choosePassphrase(
	code: string,
	passphrase: string,
	from: { device: string; address: string }
): Promise<Awaited<ReturnType<typeof makeSession>>> {
	const tries = triers('code', from.address);
	await refuseHasty(tries);
	let isWrong = false;
	const personId = await inTransaction(async (transaction) => {
		const used = await useCode('reset', code, transaction);
		if (!used?.personId) {
			isWrong = true;
			return '';
		}
		const row = await known(used.personId, transaction);
		await setHash(row.id, await passphraseHash(passphrase, [row.name, row.mark]), transaction);
		await note(row, 'passphrase-changed', row.name, transaction);
		return row.id;
	});
	if (isWrong) {
		await noteFailure(tries);
		throw new RefusedError(
			'This code is none, was used, or is over a day old: ask a keeper for a new one.',
			'code'
		);
	}
	await forgetFailures(tries);
	await endSessionsOf(personId);
	return makeSession(personId, from.device, from.address);
}

/** A code by which a tablet at the bench is signed in for the season: once, within five minutes. */
export const pairCode = (person: { id: string }): Promise<string> => makeCode('pair', person.id);

/** Signs a device in by the code that a signed-in one shows. @throws RefusedError for a code that is none, used or too old */
export async function pairDevice(
	code: string,
	from: { device: string; address: string }
): Promise<Awaited<ReturnType<typeof makeSession>>> {
	const tries = triers('pairing', from.address);
	await refuseHasty(tries);
	const row = await inTransaction(async (transaction) => {
		const used = await useCode('pair', code, transaction);
		if (!used?.personId) return undefined;
		const person = await known(used.personId, transaction);
		await note(person, 'device-paired', from.device, transaction);
		return person;
	});
	if (!row) {
		await noteFailure(tries);
		throw new RefusedError(
			'This code is none, was used, or is over five minutes old: show a new one on the device that is signed in.',
			'code'
		);
	}
	await forgetFailures(tries);
	return makeSession(row.id, from.device, from.address, { paired: true });
}

const setHash = (id: string, hashed: string, transaction: Transaction) =>
	db().query('UPDATE people SET passphraseHash = ?, updatedAt = ? WHERE id = ?', {
		replacements: [hashed, new Date(), id],
		type: QueryTypes.UPDATE,
		transaction
	});

/** Another passphrase, by whoever knows the old one; the other sessions end. */
export async function changePassphrase(
	person: { id: string; sessionId: string },
	old: string,
	passphrase: string,
	address: string
): Promise<void> {
	const row = await known(person.id);
	const tries = triers(row.name, address);
	await refuseHasty(tries);
	if (!(await opens(row.passphraseHash, old))) {
		await noteFailure(tries);
		throw new RefusedError('That is not your passphrase.', 'old');
	}
	const hashed = await passphraseHash(passphrase, [row.name, row.mark]);
	await alone(async (transaction) => {
		await setHash(row.id, hashed, transaction);
		await note(row, 'passphrase-changed', row.name, transaction);
	});
	await endSessionsOf(person.id, person.sessionId);
}
