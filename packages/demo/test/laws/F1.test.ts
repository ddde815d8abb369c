import { holdTheLaws } from './holdTheLaws';

holdTheLaws('F1');
