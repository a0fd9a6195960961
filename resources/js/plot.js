/** A bar plot of what the table under it says; the library comes only where there is a plot. */
const COLOURS = ['#24614f', '#b65a2f', '#8a6a14', '#2f5d86'];

export function plot() {
    return {
        async init() {
            const { Chart, BarController, BarElement, CategoryScale, LinearScale, Legend, Tooltip } = await import('chart.js');
            Chart.register(BarController, BarElement, CategoryScale, LinearScale, Legend, Tooltip);
            const { labels, rows } = JSON.parse(this.$root.dataset.plot);
            new Chart(this.$root.querySelector('canvas'), {
                type: 'bar',
                data: { labels, datasets: rows.map((row, at) => ({ label: row.label, data: row.values, backgroundColor: COLOURS[at % COLOURS.length] })) },
                options: {
                    animation: false,
                    maintainAspectRatio: false,
                    scales: { y: { title: { display: true, text: 'g' }, beginAtZero: true } },
                },
            });
        },
    };
}
