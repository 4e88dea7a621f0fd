import { LineChart } from 'echarts/charts';
import { AriaComponent, DataZoomInsideComponent, GridComponent, LegendComponent, TooltipComponent } from 'echarts/components'; // prettier-ignore
import { init, use } from 'echarts/core';
import { SVGRenderer } from 'echarts/renderers';

/* The parts of the chart library that are used; loaded with the first chart that is opened (`ChartView.vue`). */
use([LineChart, GridComponent, TooltipComponent, LegendComponent, DataZoomInsideComponent, AriaComponent, SVGRenderer]); // prettier-ignore

export { init };
