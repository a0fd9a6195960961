/** A plot of what the table under it says; the library comes only where there is a plot. */
// Seen on light and on dark alike.
const COLOURS = ['#3b8d76', '#c4693b', '#a5842a', '#4d82b3'];

export function plot() {
    return {
        async init() {
            let library;
            try {
                library = await import('chart.js');
            } catch {
                // The page was left, or the workshop is away: the table says the same.
                return;
            }
            const { Chart, BarController, BarElement, LineController, LineElement, PointElement, CategoryScale, LinearScale, Legend, Tooltip } = library;
            Chart.register(BarController, BarElement, LineController, LineElement, PointElement, CategoryScale, LinearScale, Legend, Tooltip);
            const { labels, rows, kind = 'bar', unit = 'g' } = JSON.parse(this.$root.dataset.plot);
            const ofPage = (name) => getComputedStyle(document.documentElement).getPropertyValue(name).trim();
            [Chart.defaults.color, Chart.defaults.borderColor] = [ofPage('--color-pencil'), ofPage('--color-grid')];
            const font = { family: getComputedStyle(document.body).fontFamily, size: 13 };
            new Chart(this.$root.querySelector('canvas'), {
                type: kind,
                data: {
                    labels,
                    datasets: rows.map((row, at) => ({
                        label: row.label, data: row.values, backgroundColor: COLOURS[at % COLOURS.length], borderColor: COLOURS[at % COLOURS.length],
                        showLine: !row.isDots, pointRadius: row.isDots ? 4 : 2, borderWidth: 2, maxBarThickness: 90,
                    })),
                },
                options: {
                    animation: false,
                    maintainAspectRatio: false,
                    scales: { x: { ticks: { font } }, y: { title: { display: true, text: unit, font }, ticks: { font }, beginAtZero: kind === 'bar' } },
                    plugins: { legend: { labels: { font } } },
                },
            });
        },
    };
}
