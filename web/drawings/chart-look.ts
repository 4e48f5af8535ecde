import { Chart } from 'chart.js';
import { paint } from './paint.ts';

Chart.defaults.font.family = '"Public Sans Variable", sans-serif';
Chart.defaults.font.size = 13;
Chart.defaults.color = () => paint('ink');
