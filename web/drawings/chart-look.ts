import { Chart } from 'chart.js';

Chart.defaults.font.family = '"Public Sans Variable", sans-serif';
Chart.defaults.font.size = 13;
Chart.defaults.color = '#2C1A2F';
