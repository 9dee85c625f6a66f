import { expose } from 'comlink';
import { idbStore } from '@esmero/store';
import { transferOn } from './transfer';

expose(transferOn(idbStore()));
