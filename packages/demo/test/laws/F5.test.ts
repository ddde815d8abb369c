import { holdTheLaws } from './holdTheLaws';

holdTheLaws('F5');
