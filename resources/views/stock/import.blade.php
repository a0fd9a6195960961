<x-layout title="Stock from a table" here="Stock">
    <p class="mt-3"><a href="/stock">← Stock</a></p>
    <h1>Stock from a table</h1>
    @if ($table === null)
        <p class="mt-1 max-w-2xl">A CSV file with a heading: name, kind (coil or offcut), metal, size, temper, length or weight, price. Nothing is taken in before you have seen it.</p>
        <form method="post" action="/stock/import" enctype="multipart/form-data" class="grid gap-3 mt-3 max-w-xl">@csrf
            <div class="field"><label for="file">The file</label><input class="in" id="file" name="file" type="file" accept=".csv,text/csv,text/plain"></div>
            <div class="field"><label for="text">or its lines</label><textarea class="in" id="text" name="text" rows="6" placeholder="name;metal;size;temper;length&#10;Shelf coil;sterling;0,8 mm;half-hard;2,4 m"></textarea></div>
            <x-problem for="file" :problem="$problem" />
            <p><button type="submit" class="do">Look at it</button></p>
        </form>
    @else
        @php($what = ['name' => 'Name', 'kind' => 'Kind', 'metal' => 'Metal', 'size' => 'Size', 'temper' => 'Temper', 'amount' => 'Length or weight', 'price' => 'Price'])
        <form method="post" action="/stock/import" class="mt-3">@csrf
            <textarea name="text" hidden>{{ $text }}</textarea>
            <div class="bar items-end">
                @foreach ($what as $key => $words)
                    <div class="field"><label for="column-{{ $key }}">{{ $words }}</label><select class="in is-text !w-auto" id="column-{{ $key }}" name="columns[{{ $key }}]"><option value="">no column</option>@foreach ($table->heading as $at => $cell)<option value="{{ $at }}" @selected($columns[$key] === $at)>{{ $cell === '' ? 'column '.($at + 1) : $cell }}</option>@endforeach</select></div>
                @endforeach
                <button type="submit" class="may" name="do" value="look">Look again</button>
            </div>
            @if ($problems !== [])
                <div class="banner mt-3" role="alert"><p><strong>{{ \Hebra\Core\Quantity\Figures::counted(count($problems), 'line') }} cannot be taken in.</strong> Nothing has been; mend the table, or choose other columns.</p>
                    <ul class="mt-1">@foreach ($problems as $line => $sentence)<li>Line {{ $line }}: {{ $sentence }}</li>@endforeach</ul></div>
            @endif
            <div class="scrolls mt-3">
            <table class="ledger"><thead><tr><th scope="col">Line</th>@foreach ($what as $words)<th scope="col">{{ $words }}</th>@endforeach</tr></thead><tbody>
                @foreach (array_slice(array_keys($table->rows), 0, 30) as $line)
                    <tr @class(['is-unfit' => isset($problems[$line])])><td class="num">{{ $line }}</td>@foreach (array_keys($what) as $key)<td>{{ $table->at($line, $columns[$key]) }}</td>@endforeach</tr>
                @endforeach
            </tbody></table>
            </div>
            @if (count($table->rows) > 30)<p class="quiet small">and {{ count($table->rows) - 30 }} more</p>@endif
            <p class="bar mt-3"><button type="submit" class="do" name="do" value="take" @disabled($problems !== [] || $table->rows === [])>Take {{ \Hebra\Core\Quantity\Figures::counted(count($table->rows), 'lot') }} into stock</button><a class="may" href="/stock/import">Another file</a></p>
        </form>
    @endif
</x-layout>
