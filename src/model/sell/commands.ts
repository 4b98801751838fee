import * as z from 'zod/mini';
import { LISTING_PARTS } from '@/core/sell/listingParts';
import { defineCommand, put, remove, setOrDrop } from '../command';
import { id, label } from '../fields';
import {
  buyersQuestion,
  comeback,
  dealing,
  deposit,
  listing,
  listingEdit,
  offer,
  option,
  saved,
  testRide,
} from './part';

export const commands = [
  defineCommand({
    type: 'setListing',
    schema: { changes: z.partial(listing) },
    apply(bicycle, { changes }) {
      Object.assign(bicycle.listing, changes);
    },
    words: () => 'the listing',
  }),
  defineCommand({
    type: 'editSentence',
    schema: { sentence: z.enum(LISTING_PARTS), edit: z.nullable(listingEdit) },
    apply: (bicycle, row) => setOrDrop(bicycle.listingEdits, row.sentence, row.edit),
    words: () => 'a sentence of the listing',
  }),
  defineCommand({
    type: 'putOption',
    schema: { option },
    apply: (bicycle, row) => put(bicycle.saleOptions, row.option),
    words: ({ option: { label: named } }) => named,
  }),
  defineCommand({
    type: 'dropOption',
    schema: { option: id },
    apply: (bicycle, row) => remove(bicycle.saleOptions, row.option),
    words: () => 'an option',
  }),
  defineCommand({
    type: 'putNotOriginal',
    schema: { row: z.strictObject({ id, label }) },
    apply: (bicycle, { row }) => put(bicycle.notOriginal, row),
    words: ({ row }) => row.label,
  }),
  defineCommand({
    type: 'dropNotOriginal',
    schema: { row: id },
    apply: (bicycle, { row }) => remove(bicycle.notOriginal, row),
    words: () => 'a part that is not original',
  }),
  defineCommand({
    type: 'putQuestion',
    schema: { question: buyersQuestion },
    apply: (bicycle, row) => put(bicycle.buyersQuestions, row.question),
    words: () => 'a question that came back',
  }),
  defineCommand({
    type: 'dropQuestion',
    schema: { question: id },
    apply: (bicycle, row) => remove(bicycle.buyersQuestions, row.question),
    words: () => 'a question that came back',
  }),
  defineCommand({
    type: 'putOffer',
    schema: { offer },
    apply: (bicycle, row) => put(bicycle.offers, row.offer),
    words: () => 'an offer',
  }),
  defineCommand({
    type: 'dropOffer',
    schema: { offer: id },
    apply: (bicycle, row) => remove(bicycle.offers, row.offer),
    words: () => 'an offer',
  }),
  defineCommand({
    type: 'setDeposit',
    schema: { deposit: z.nullable(deposit) },
    apply(bicycle, row) {
      bicycle.deposit = row.deposit;
    },
    words: () => 'the deposit',
  }),
  defineCommand({
    type: 'putTestRide',
    schema: { ride: testRide },
    apply: (bicycle, row) => put(bicycle.testRides, row.ride),
    words: () => 'a test ride',
  }),
  defineCommand({
    type: 'putComeback',
    schema: { comeback },
    apply: (bicycle, row) => put(bicycle.comebacks, row.comeback),
    words: () => 'a comeback',
  }),
  defineCommand({
    type: 'dropComeback',
    schema: { comeback: id },
    apply: (bicycle, row) => remove(bicycle.comebacks, row.comeback),
    words: () => 'a comeback',
  }),
  defineCommand({
    type: 'setDealing',
    schema: { changes: z.partial(dealing) },
    apply(bicycle, { changes }) {
      Object.assign(bicycle.dealing, changes);
    },
    words: () => 'how it is sold',
  }),
  defineCommand({
    type: 'countSaved',
    schema: { changes: z.partial(saved) },
    apply(bicycle, { changes }) {
      Object.assign(bicycle.saved, changes);
    },
    words: () => 'what was saved',
  }),
  defineCommand({
    type: 'packStep',
    schema: { step: id, done: z.boolean() },
    apply: (bicycle, row) => setOrDrop(bicycle.packing, row.step, row.done ? true : null),
    words: () => 'the packing',
  }),
] as const;
