import { holdTheLaws } from './holdTheLaws';

holdTheLaws('F13');
