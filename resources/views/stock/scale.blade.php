<div id="scale" class="scale" hx-get="/lots/{{ $lot->ulid }}/scale/live" hx-trigger="every 600ms" hx-include="#scale-line" hx-swap="outerHTML">
    <p class="scale-shows figure" @class(['quiet' => ! $reading->isSettled])>{{ $reading->isConnected ? number_format($reading->milligrams / 1000, 2).' g' : '– – –' }}</p>
    <p class="small" role="status">{{ ! $reading->isConnected ? 'The scale does not answer.' : ($reading->isSettled ? 'It stands still.' : 'Coming to rest …') }}</p>
</div>
