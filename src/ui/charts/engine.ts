import { BarChart, CustomChart, LineChart, ScatterChart } from 'echarts/charts';
import { GridComponent, MarkAreaComponent, MarkLineComponent } from 'echarts/components';
import { init, use } from 'echarts/core';
import { CanvasRenderer } from 'echarts/renderers';

// What our charts use and nothing else; on canvas, for drawn as SVG it would set styles that the page's
// policy refuses.
use([
  BarChart,
  LineChart,
  ScatterChart,
  CustomChart,
  GridComponent,
  MarkAreaComponent,
  MarkLineComponent,
  CanvasRenderer
]);

export { init };
