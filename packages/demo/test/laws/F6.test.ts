import { holdTheLaws } from './holdTheLaws';

holdTheLaws('F6');
