@use('Hebra\Core\Quantity\Figures')
@php([$noun, $words] = [$import->noun(), ['lots' => 'Stock from a table', 'movements' => 'Movements from a table', 'beads' => 'Beads from a table'][$of]])
<x-layout :title="$words" here="Stock">
    <p class="mt-3"><a href="{{ $of === 'movements' ? '/stock/book' : '/stock' }}">← {{ $of === 'movements' ? 'The metal book' : 'Stock' }}</a></p>
    <h1>{{ $words }}</h1>
    @if ($given === null)
        <p class="mt-1 max-w-2xl">A CSV file with a heading: {{ mb_strtolower(implode(', ', array_map(fn ($column) => $column[0], $import->columns()))) }}. Commas, semicolons or tabs, and decimal commas, are all read. Nothing is taken in before you have seen it.</p>
        <form method="post" action="/stock/import?of={{ $of }}" enctype="multipart/form-data" class="grid gap-3 mt-3 max-w-xl">@csrf
            <div class="field"><label for="file">The file</label><input class="in" id="file" name="file" type="file" accept=".csv,text/csv,text/plain"></div>
            <div class="field"><label for="text">or its lines</label><textarea class="in" id="text" name="text" rows="6" placeholder="{{ $import->example() }}"></textarea></div>
            <x-problem for="file" :problem="$problem" />
            <p class="bar"><button type="submit" class="do">Look at it</button>@foreach (array_diff(['lots', 'beads', 'movements'], [$of]) as $other)<a class="small" href="/stock/import?of={{ $other }}">{{ $other }} instead</a>@endforeach</p>
        </form>
    @else
        <form method="post" action="/stock/import?of={{ $of }}" class="mt-3">@csrf
            @include('stock.columns', ['wanted' => $import->columns()])
            <p class="bar mt-3"><button type="submit" class="do" name="do" value="take" @disabled($problems !== [] || $given->table->rows === [])>Take {{ Figures::counted(count($given->table->rows), $noun) }} {{ ['lots' => 'into stock', 'movements' => 'into the book', 'beads' => 'into the tray'][$of] }}</button><a class="may" href="/stock/import?of={{ $of }}">Another file</a></p>
        </form>
    @endif
</x-layout>
