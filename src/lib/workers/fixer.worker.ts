import * as Comlink from 'comlink';
import { Fixer } from './fixer';

Comlink.expose(new Fixer());
